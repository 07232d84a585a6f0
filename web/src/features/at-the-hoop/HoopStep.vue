<script setup lang="ts">
import { finishProgress } from '@junctura/core/log';
import { sayFinding, stepOf, whyOf } from '@junctura/core/advice';
import {
  formatDay,
  formatDuration,
  formatDurationRange,
  formatMoney,
  formatThread,
  localDay,
  noonOf,
} from '@junctura/core/measure';
import { sittingDays, stepSeconds } from '@junctura/core/thread';
import { NButton } from 'naive-ui';
import { computed, ref } from 'vue';
import { useRouter } from 'vue-router';
import { useOpenedPiece } from '../../session/openedPiece.ts';
import { useRecord } from '../../session/record.ts';
import { useSettings } from '../../session/settings.ts';
import { useWorkings } from '../../session/workings.ts';
import { useWorkSoFar } from '../../session/workSoFar.ts';
import PaceList from './PaceList.vue';
import PhotoRow from './PhotoRow.vue';
import TabRow from '../../ui/TabRow.vue';
import RecordList from './RecordList.vue';
import WorkChart from './WorkChart.vue';
import WorkedDays from './WorkedDays.vue';
import * as say from './words.ts';
import { comesLater } from '../../ui/comesLater.ts';

const HandOverDialog = comesLater(async () => (await import('../hand-over/index.ts')).HandOverDialog);

const NeedleQuestion = comesLater(() => import('./NeedleQuestion.vue'));
const ThreadRecord = comesLater(() => import('./ThreadRecord.vue'));

/** How the work stands, seen from the desk; and the way to the page that is used at the hoop. */
const opened = useOpenedPiece();
const record = useRecord();
const settings = useSettings();
const work = useWorkSoFar();
const workings = useWorkings();
const router = useRouter();

const soFar = computed(() => work.soFar!);
const count = computed(() => work.steps.length);
const share = computed(() => {
  const left = work.left!.seconds.p50;
  const done = soFar.value.done.reduce((sum, { work: own }) => sum + stepSeconds(own), 0);
  return done + left > 0 ? done / (done + left) : 0;
});
/** The day of the last stitch, at the person's own pace. */
const lastDay = computed(() => {
  const { sittingMin, sittingsPerWeek } = opened.piece.worker;
  const sittings = Math.max(1, Math.ceil(work.left!.seconds.p50 / 60 / sittingMin));
  const today = localDay(new Date());
  const days = sittingDays({ ...opened.piece.calendar, begin: today, moved: [] }, sittingsPerWeek, sittings, today);
  return formatDay(noonOf(days.at(-1)!));
});
const paceText = computed(() => {
  if (work.pace.stitches.size === 0) return null;
  return say.paceThanUsual(work.pace.hand);
});
const earned = computed(() => (settings.rate.perHour * soFar.value.seconds) / 3600);
/** What is to be seen to between two sittings. */
const toSeeTo = computed(() => workings.current?.findings.filter((finding) => stepOf(finding) === 'at-the-hoop') ?? []);
const openWords = computed(() => {
  if (work.isOpen) return 'Carry on with this sitting';
  if (finishProgress(record.entries).ended) return 'Look back over it';
  if (soFar.value.left.length === 0 && count.value > 0) return 'All stitched: finish it at the hoop';
  return soFar.value.done.length > 0 ? 'Continue stitching' : 'Start stitching';
});
const isHandingOver = ref(false);
const VIEWS = [
  { id: 'work', name: 'How far it is' },
  { id: 'needle', name: 'On the needle' },
  { id: 'used', name: 'Thread used' },
  { id: 'noted', name: 'Record' },
] as const;
const view = ref<(typeof VIEWS)[number]['id']>('work');
const open = (): Promise<unknown> => router.push({ name: 'at-the-hoop', params: { id: opened.piece.id } });
</script>

<template>
  <div v-if="work.soFar && work.left" class="stack">
    <h2>At the hoop</h2>
    <p v-if="soFar.done.length === 0 && !work.isOpen" class="soft">
      Open this on a phone or tablet next to your hoop. It shows one step at a time; tap once when a step is done, and
      Junctura keeps track of time, thread and what is left.
    </p>
    <NButton type="primary" size="large" data-test="open-hoop" @click="open">{{ openWords }}</NButton>
    <div class="row">
      <NButton data-test="hand-over" @click="isHandingOver = true">Send to another device…</NButton>
    </div>
    <HandOverDialog v-if="isHandingOver" @close="isHandingOver = false" />
    <TabRow label="At the hoop" :tabs="VIEWS" :here="view" @pick="(id) => (view = id)" />
    <NeedleQuestion v-if="view === 'needle'" />
    <ThreadRecord v-else-if="view === 'used'" />
    <template v-else-if="view === 'noted'">
      <RecordList v-if="record.entries.length > 0" />
      <p v-else class="soft">Nothing yet. Every tap while you stitch is recorded here, and you can undo each one.</p>
    </template>
    <template v-else>
      <dl class="figures">
        <dt>Done</dt>
        <dd class="figure" data-test="work-done">
          {{ say.stepsDone(work.stepsDone.done, work.stepsDone.of, share) }}
        </dd>
        <dt>Stitched so far</dt>
        <dd class="figure">{{ say.hoursOnDays(formatDuration(soFar.seconds / 3600), soFar.days.size) }}</dd>
        <template v-if="soFar.left.length > 0">
          <dt>Left</dt>
          <dd class="figure" data-test="work-left">
            {{
              say.hoursAndThread(
                formatDurationRange(work.left.seconds.p10 / 3600, work.left.seconds.p90 / 3600),
                formatThread(work.left.threadMm, settings.units),
              )
            }}
          </dd>
          <dt>Last stitch</dt>
          <dd class="figure">{{ say.aboutDay(lastDay) }}</dd>
        </template>
        <template v-if="paceText">
          <dt>Your pace</dt>
          <dd>{{ paceText }}</dd>
        </template>
        <template v-if="settings.rate.perHour > 0 && soFar.seconds > 0">
          <dt>At your rate</dt>
          <dd class="figure">{{ say.earnedSoFar(formatMoney(earned, settings.rate.coin)) }}</dd>
        </template>
      </dl>
      <p v-for="finding in toSeeTo" :key="finding.id" class="warn" role="status">
        {{ sayFinding(finding, opened.nameOf(finding.part)) }} <span class="soft">{{ whyOf(finding) }}</span>
        <NButton
          v-if="finding.id === 'hoop-left'"
          size="small"
          data-test="taken-off"
          @click="work.note({ type: 'cloth-taken-off' })"
          >The hoop is off</NButton
        >
      </p>
      <PhotoRow />
      <WorkChart :so-far="soFar" :left="work.left" />
      <WorkedDays :days="soFar.days" />
      <PaceList :pace="work.pace" />
    </template>
  </div>
</template>

<style scoped>
.figures {
  display: grid;
  grid-template-columns: max-content 1fr;
  gap: 5px 16px;
  margin: 0;
}
dt {
  color: var(--ink-soft);
}
dd {
  margin: 0;
}
.warn {
  padding: 6px 10px;
  border-left: 3px solid var(--madder);
}
</style>
