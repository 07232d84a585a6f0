<script setup lang="ts">
import { finishProgress } from '@junctura/core/log';
import { sayFinding, stepOf, whyOf } from '@junctura/core/advice';
import { formatDuration, formatDurationRange, formatThread, localDay, plural } from '@junctura/core/measure';
import { sittingDays, stepSeconds } from '@junctura/core/thread';
import { NButton } from 'naive-ui';
import { computed, defineAsyncComponent, ref } from 'vue';
import { useRouter } from 'vue-router';
import { useOpenedPiece } from '../../session/openedPiece.ts';
import { useRecord } from '../../session/record.ts';
import { useSettings } from '../../session/settings.ts';
import { useWorkings } from '../../session/workings.ts';
import { useWorkSoFar } from '../../session/workSoFar.ts';
import { paceWords } from './paceWords.ts';
import PaceList from './PaceList.vue';
import PhotoRow from './PhotoRow.vue';
import TabRow from '../../ui/TabRow.vue';
import RecordList from './RecordList.vue';
import WorkChart from './WorkChart.vue';
import WorkedDays from './WorkedDays.vue';

const HandOverDialog = defineAsyncComponent(async () => (await import('../hand-over/index.ts')).HandOverDialog);

const NeedleQuestion = defineAsyncComponent(() => import('./NeedleQuestion.vue'));
const ThreadRecord = defineAsyncComponent(() => import('./ThreadRecord.vue'));

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
  return new Intl.DateTimeFormat('en', { dateStyle: 'medium' }).format(new Date(`${days.at(-1)}T12:00`));
});
const paceText = computed(() => {
  if (work.pace.stitches.size === 0) return null;
  const words = paceWords(work.pace.hand);
  return words === null ? 'as usual' : `${words} than usual`;
});
const earned = computed(() => (settings.rate.perHour * soFar.value.seconds) / 3600);
/** What is to be seen to between two sittings. */
const toSeeTo = computed(() => workings.current?.findings.filter((finding) => stepOf(finding) === 'at-the-hoop') ?? []);
const openWords = computed(() => {
  if (work.isOpen) return 'Go on with the sitting';
  if (finishProgress(record.entries).ended) return 'Look at it at the hoop';
  if (soFar.value.left.length === 0 && count.value > 0) return 'All is stitched: finish it at the hoop';
  return soFar.value.done.length > 0 ? 'Sit down and go on' : 'Begin';
});
const isHandingOver = ref(false);
const VIEWS = [
  { id: 'work', name: 'How it stands' },
  { id: 'needle', name: 'On the needle' },
  { id: 'used', name: 'What was used' },
  { id: 'noted', name: 'What was noted' },
] as const;
const view = ref<(typeof VIEWS)[number]['id']>('work');
const open = (): Promise<unknown> => router.push({ name: 'at-the-hoop', params: { id: opened.piece.id } });
</script>

<template>
  <div v-if="work.soFar && work.left" class="stack">
    <h2>At the hoop</h2>
    <p v-if="soFar.done.length === 0 && !work.isOpen" class="soft">
      Open this on a phone or tablet beside the hoop. It shows one step after the other; one tap notes that a step is
      done, and time, thread and forecasts keep themselves.
    </p>
    <NButton type="primary" size="large" data-test="open-hoop" @click="open">{{ openWords }}</NButton>
    <div class="row">
      <NButton data-test="hand-over" @click="isHandingOver = true">Hand over to another device…</NButton>
    </div>
    <HandOverDialog v-if="isHandingOver" @close="isHandingOver = false" />
    <TabRow label="At the hoop" :tabs="VIEWS" :here="view" @pick="(id) => (view = id)" />
    <NeedleQuestion v-if="view === 'needle'" />
    <ThreadRecord v-else-if="view === 'used'" />
    <template v-else-if="view === 'noted'">
      <RecordList v-if="record.entries.length > 0" />
      <p v-else class="soft">Nothing yet. Each tap at the hoop is an entry here, and can be taken back one by one.</p>
    </template>
    <template v-else>
      <dl class="figures">
        <dt>Done</dt>
        <dd class="figure" data-test="work-done">
          {{ soFar.done.length }} of {{ plural(count, 'step') }}, {{ Math.round(share * 100) }} % of the time
        </dd>
        <dt>Worked so far</dt>
        <dd class="figure">{{ formatDuration(soFar.seconds / 3600) }} on {{ plural(soFar.days.size, 'day') }}</dd>
        <template v-if="soFar.left.length > 0">
          <dt>Left</dt>
          <dd class="figure" data-test="work-left">
            {{ formatDurationRange(work.left.seconds.p10 / 3600, work.left.seconds.p90 / 3600) }},
            {{ formatThread(work.left.threadMm, settings.units) }} of thread on the piece
          </dd>
          <dt>Last stitch</dt>
          <dd class="figure">about {{ lastDay }}</dd>
        </template>
        <template v-if="paceText">
          <dt>Your pace</dt>
          <dd>{{ paceText }}</dd>
        </template>
        <template v-if="settings.rate.perHour > 0 && soFar.seconds > 0">
          <dt>At your rate</dt>
          <dd class="figure">{{ earned.toFixed(2) }} {{ settings.rate.coin }} so far</dd>
        </template>
      </dl>
      <p v-for="finding in toSeeTo" :key="finding.id" class="warn" role="status">
        {{ sayFinding(finding) }} <span class="soft">{{ whyOf(finding) }}</span>
        <NButton
          v-if="finding.id === 'hoop-left'"
          size="small"
          data-test="taken-off"
          @click="work.note({ type: 'cloth-taken-off' })"
          >It is off</NButton
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
