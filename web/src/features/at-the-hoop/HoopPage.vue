<script setup lang="ts">
import { aheadMs } from '@junctura/core/log';
import { needleName, stitchOfStep, type Step } from '@junctura/core/order';
import { figureText, noteLines } from '@junctura/core/paper';
import { formatDuration } from '@junctura/core/measure';
import { useEventListener, useIntervalFn, useWakeLock } from '@vueuse/core';
import { ArrowLeft, Lamp, RotateCw, Settings } from '@lucide/vue';
import { NButton } from 'naive-ui';
import { computed, onBeforeUnmount, ref, watch } from 'vue';
import { RouterLink } from 'vue-router';
import { isTyping } from '../../ui/useUndoKeys.ts';
import PieceToOpen from '../../session/PieceToOpen.vue';
import { useOpenedPiece } from '../../session/openedPiece.ts';
import { useFinishing } from '../../session/finishing.ts';
import { useRecord } from '../../session/record.ts';
import { useSettings } from '../../session/settings.ts';
import { useWorkings } from '../../session/workings.ts';
import { savePiece } from '../../session/savePiece.ts';
import { notedUnkept } from '../../session/words.ts';
import { useWorkSoFar } from '../../session/workSoFar.ts';
import { useStepNote } from './stepNote.ts';
import BeginSheet from './BeginSheet.vue';
import LayScrap from './LayScrap.vue';
import PresentStep from './PresentStep.vue';
import StepPicture from './StepPicture.vue';
import { speak, tick } from './sounds.ts';
import type { MoreTopic } from './moreTopics.ts';
import * as say from './words.ts';
import { comesLater } from '../../ui/comesLater.ts';

/** What is done after the last stitch. */
const FinishSteps = comesLater(async () => (await import('../finish/index.ts')).FinishSteps);
const EndSheet = comesLater(() => import('./EndSheet.vue'));
const HoopSettings = comesLater(() => import('./HoopSettings.vue'));
const MoreDialog = comesLater(() => import('./MoreDialog.vue'));

const HandOverDialog = comesLater(async () => (await import('../hand-over/index.ts')).HandOverDialog);

/** What is glanced at with a needle in the hand: the present step, and one large target that says it is done. */
defineProps<{ id: string }>();
const opened = useOpenedPiece();
const record = useRecord();
const settings = useSettings();
const workings = useWorkings();
const work = useWorkSoFar();
const stepNote = useStepNote();
const finishing = useFinishing();
watch(
  () => work.soFar?.left.length === 0,
  (isStitched) => isStitched && finishing.want(),
  { immediate: true },
);

/** By lamp-light in the evening, unless she says otherwise here; the light of the desk is another. */
const hour = new Date().getHours();
const isEvening = hour >= 19 || hour < 7;
const usualLight = computed(() => (settings.hoop.lampAtNight && isEvening ? 'lamp' : settings.theme));
const isLamp = computed(() => (settings.hoop.light ?? usualLight.value) === 'lamp');
watch(isLamp, (is) => (settings.pageLight = is ? 'lamp' : 'light'), { immediate: true });
function changeLight(): void {
  const light = isLamp.value ? 'light' : 'lamp';
  settings.hoop = { ...settings.hoop, light: light === usualLight.value ? null : light };
}
const wake = useWakeLock();
const staysAwake = ref(true);
watch(
  () => [work.isOpen, settings.hoop.staysAwake] as const,
  async ([open]) => {
    try {
      if (open && settings.hoop.staysAwake) await wake.request('screen');
      else await wake.release();
      staysAwake.value = true;
    } catch {
      staysAwake.value = false;
    }
  },
  { immediate: true },
);
onBeforeUnmount(() => {
  settings.pageLight = null;
  void wake.release().catch(() => undefined);
});

const now = ref(Date.now());
useIntervalFn(() => (now.value = Date.now()), 15_000);
const minutesOpen = computed(() =>
  work.soFar?.openSince ? Math.max(0, Math.floor((now.value - Date.parse(work.soFar.openSince)) / 60_000)) : 0,
);
/** What another device noted by a clock that is ahead counts; it is said, so that nobody wonders at its times. */
const ahead = computed(() => aheadMs(record.entries, now.value));
const brokenAt = ref(0);
const wantsBreak = computed(() => work.isOpen && minutesOpen.value - brokenAt.value >= settings.hoop.breakMin);
function takeBreak(): void {
  brokenAt.value = minutesOpen.value;
  void work.note({ type: 'break-taken' });
}

const colour = computed(() => work.colourBy(work.present?.colour));
const present = computed(() => work.present);
/** What the last tap did and what comes now, for those who hear the page. */
const said = ref('');

watch(present, (step, before) => {
  if (step && before && settings.hoop.voice) speak(spokenNow(step));
});
/** The step read aloud: what it is, in which thread, by which figures, and where it begins. */
function spokenNow(step: Step): string {
  const { present: note } = stepNote;
  const told = note ? [...note.figures.map(figureText), ...noteLines(note)] : [];
  const thread = say.threadOf(colour.value.name, step.strands, needleName(step.needle));
  return say.spokenStep(work.nameOf(step), stitchOfStep(step).name, thread, told);
}
function begin(needles: number): void {
  brokenAt.value = 0;
  void work.note({ type: 'sitting-begun', needles });
}
const isEnding = ref(false);
async function end(needles: number | null, isTakenOff: boolean): Promise<void> {
  await work.note({ type: 'sitting-ended', needles }, ...(isTakenOff ? [{ type: 'cloth-taken-off' as const }] : []));
  isEnding.value = false;
}
const unsaid = computed(() => work.soFar?.unsaid[0] ?? null);

/** What is asked about the present step; null: nothing. */
const topic = ref<MoreTopic | null>(null);
let pressed: ReturnType<typeof setTimeout> | undefined;
let wasLong = false;
const LONG_PRESS_MS = 550;
function press(): void {
  wasLong = false;
  pressed = setTimeout(() => {
    wasLong = true;
    topic.value = 'all';
  }, LONG_PRESS_MS);
}
function release(): void {
  clearTimeout(pressed);
}
function done(): void {
  const [step, next, laying] = [work.present, work.next, work.laying];
  void work.done();
  if (step && laying) said.value = say.laidAndNext(opened.nameOf(laying.part), work.nameOf(step));
  else if (step) said.value = say.doneAndNext(work.nameOf(step), next && work.nameOf(next));
  if (settings.hoop.sounds) tick();
}
function tap(): void {
  if (!wasLong) done();
  wasLong = false;
}
const isHandingOver = ref(false);
const isSetting = ref(false);

/** Page-turners and presenter remotes send one of these; arrows turn pages only within a sitting, elsewhere they scroll. */
const KEYS = {
  go: { always: ['PageDown'], inSitting: ['ArrowRight', 'ArrowDown'] },
  back: { always: ['PageUp'], inSitting: ['ArrowLeft', 'ArrowUp'] },
} as const;
function turns({ key }: KeyboardEvent, way: keyof typeof KEYS): boolean {
  const { always, inSitting } = KEYS[way];
  const isStitching = work.isOpen && present.value !== null;
  return always.some((own) => own === key) || (isStitching && inSitting.some((own) => own === key));
}
const isAsking = computed(() => topic.value !== null || isEnding.value || isSetting.value || isHandingOver.value);
useEventListener(window, 'keydown', (event: KeyboardEvent) => {
  if (isTyping(event) || event.ctrlKey || event.metaKey || event.altKey || isAsking.value) return;
  const isButton = event.target instanceof HTMLButtonElement;
  const isGo = [' ', 'Enter'].includes(event.key);
  if ((isGo && !isButton) || turns(event, 'go')) {
    event.preventDefault();
    if (work.isOpen) done();
    else if (present.value) begin(work.needlesWanted);
  } else if (turns(event, 'back')) {
    event.preventDefault();
    void work.takeBack();
  }
});
/** How large the type is, as a share of the usual. */
const TYPE = { usual: 1, large: 1.18, largest: 1.38 } as const;
const turnDeg = ref(0);
function turnBy(deg: number): void {
  turnDeg.value = (turnDeg.value + deg + 360) % 360;
}
</script>

<template>
  <PieceToOpen :id="id">
    <main
      class="page"
      :class="{ open: work.isOpen, 'target-left': settings.hoop.target === 'left' }"
      :style="{ '--type': TYPE[settings.hoop.type] }"
    >
      <div class="top">
        <header>
          <RouterLink
            :to="{ name: 'piece', params: { id, step: 'at-the-hoop' } }"
            class="icon"
            aria-label="Back to the desk"
            ><ArrowLeft :size="22"
          /></RouterLink>
          <h1 :title="opened.piece.name">{{ opened.piece.name }}</h1>
          <span v-if="work.isOpen && minutesOpen > 0" class="figure soft" role="timer">{{
            formatDuration(minutesOpen / 60)
          }}</span>
          <NButton quaternary aria-label="Turn the picture as you turn the hoop" @click="turnBy(90)"
            ><RotateCw :size="20"
          /></NButton>
          <NButton quaternary aria-label="Settings for stitching" @click="isSetting = true"
            ><Settings :size="20"
          /></NButton>
          <NButton quaternary :aria-label="isLamp ? 'Daylight' : 'Lamplight'" @click="changeLight"
            ><Lamp :size="20"
          /></NButton>
          <NButton v-if="work.isOpen" data-test="end" @click="isEnding = true">End</NButton>
        </header>
        <p v-if="record.unkept > 0" class="line warn" role="alert">
          {{ notedUnkept(record.unkept) }} {{ record.problem }}
          <NButton size="small" @click="savePiece">Save to a file</NButton>
        </p>
        <p v-if="ahead > 0" class="line soft small" role="status">{{ say.datedAhead(ahead) }}</p>
        <p v-if="workings.problem" class="line warn" role="alert">{{ workings.problem }}</p>
      </div>
      <p v-if="!work.plan" class="line" role="status">Working out the stitches…</p>

      <template v-else-if="work.soFar!.left.length === 0">
        <StepPicture :turn-deg="turnDeg" class="picture" @turn="turnBy" />
        <section class="sheet">
          <h2>{{ work.steps.length === 0 ? 'Nothing to stitch yet' : 'All stitched' }}</h2>
          <p v-if="work.steps.length > 0">
            {{ say.stitchedSoFar(formatDuration(work.soFar!.seconds / 3600)) }}
          </p>
          <FinishSteps v-if="work.steps.length > 0 && finishing.plan" :plan="finishing.plan" />
          <NButton v-if="work.canTakeBack" @click="work.takeBack">Undo the last step</NButton>
          <NButton data-test="hand-over" @click="isHandingOver = true">Send to another device…</NButton>
          <NButton v-if="work.isOpen" type="primary" size="large" @click="isEnding = true">End the sitting</NButton>
        </section>
      </template>

      <template v-else-if="!work.isOpen">
        <StepPicture :turn-deg="turnDeg" class="picture" @turn="turnBy" />
        <BeginSheet @begin="begin" @hand-over="isHandingOver = true" />
      </template>

      <template v-else>
        <StepPicture :turn-deg="turnDeg" class="picture" @turn="turnBy" />
        <LayScrap v-if="work.laying" />
        <PresentStep v-else :stays-awake="staysAwake" @topic="(asked) => (topic = asked)">
          <p v-if="unsaid" class="line ask" role="status">
            {{ say.withoutTap(formatDuration(unsaid.seconds / 3600)) }}
            <NButton size="small" @click="work.note({ type: 'long-gap', stitched: true, before: unsaid!.before })"
              >Stitching</NButton
            >
            <NButton size="small" @click="work.note({ type: 'long-gap', stitched: false, before: unsaid!.before })"
              >Away</NButton
            >
          </p>
          <p v-else-if="wantsBreak" class="line ask" role="status">
            Look into the distance, drop your shoulders, turn your wrists. If pain is sharp or lasts, stop and see a
            doctor or physiotherapist. <NButton size="small" @click="takeBreak">Done</NButton>
          </p>
        </PresentStep>
        <button
          type="button"
          class="done"
          data-test="done"
          @pointerdown="press"
          @pointerup="release"
          @pointercancel="release"
          @contextmenu.prevent
          @click="tap"
        >
          <strong>{{ work.next || work.laying ? 'Done, next' : 'Done' }}</strong>
          <span v-if="work.laying">{{ say.partAndStitch(work.nameOf(present), work.stitchName(present)) }}</span>
          <span v-else-if="work.next">{{
            say.partAndStitch(work.nameOf(work.next), stitchOfStep(work.next).name)
          }}</span>
          <span v-if="work.laying && work.numberOfPresent" class="figure">{{
            say.numberOf(work.laying.number, work.numberOfPresent.of)
          }}</span>
          <span v-else class="figure">{{ say.stepNumber(work.numberOfPresent, work.secondsOf(present)) }}</span>
        </button>
        <p class="visually-hidden" role="status">{{ said }}</p>
        <MoreDialog v-if="topic !== null" :topic="topic" @close="topic = null" />
      </template>

      <HandOverDialog v-if="isHandingOver" @close="isHandingOver = false" />
      <EndSheet v-if="isEnding" @end="end" @close="isEnding = false" />
      <HoopSettings v-if="isSetting" @close="isSetting = false" />
    </main>
  </PieceToOpen>
</template>

<style src="./sheet.css" scoped></style>
<style scoped>
.page {
  height: 100dvh;
  display: grid;
  grid-template: auto minmax(0, 1fr) / minmax(0, 1fr);
  background: var(--linen);
  font-size: 18px;
}
.page.open {
  grid-template-rows: auto minmax(0, 1.2fr) auto minmax(0, 1fr);
}
header {
  display: flex;
  align-items: center;
  gap: 8px;
  padding: 6px 10px;
  background: var(--paper);
  border-bottom: 1px solid var(--chalk);
}
header h1 {
  flex: 1;
  min-width: 0;
  font-size: 18px;
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
}
.icon {
  display: grid;
  place-items: center;
  width: 36px;
  height: 36px;
}
.page:not(.open) {
  grid-template-rows: auto minmax(0, 0.7fr) minmax(0, 1fr);
}
.done {
  font: inherit;
  font-family: var(--serif);
  border: 0;
  background: var(--madder);
  color: var(--on-madder);
  cursor: pointer;
}
.done {
  display: grid;
  place-content: center;
  justify-items: center;
  gap: 6px;
  padding: 12px;
  touch-action: manipulation;
  user-select: none;
}
.done strong {
  font-size: calc(34px * var(--type));
  font-weight: 600;
}
.done span {
  font-size: 18px;
}
.done:active {
  background: var(--madder-deep);
}
.line {
  padding: 8px 12px;
}
.ask {
  background: var(--weld-ground);
  border-radius: 6px;
  font-size: 16px;
}
@media (min-width: 760px) and (orientation: landscape) {
  .page.open {
    grid-template: auto minmax(0, 1fr) auto / minmax(0, 1.3fr) minmax(320px, 1fr);
  }
  .page.open.target-left {
    grid-template-columns: minmax(320px, 1fr) minmax(0, 1.3fr);
  }
  .page.open.target-left .picture {
    grid-column: 2;
  }
  .page.open .top {
    grid-column: 1 / -1;
  }
  .page.open .picture {
    grid-row: 2 / 4;
  }
  .page.open .done {
    min-height: 44dvh;
  }
}
@media (max-height: 480px) and (orientation: landscape) {
  .page.open .done {
    min-height: 38dvh;
  }
}
</style>
