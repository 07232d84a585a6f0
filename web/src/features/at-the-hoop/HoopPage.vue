<script setup lang="ts">
import { clothOf, markOf } from '@junctura/core/materials';
import { formatDuration, formatDurationRange, formatThread, plural } from '@junctura/core/measure';
import { needleName } from '@junctura/core/order';
import { layOut } from '@junctura/core/transfer';
import { useEventListener, useIntervalFn, useWakeLock } from '@vueuse/core';
import { ArrowLeft, Lamp, RotateCw, Undo2 } from '@lucide/vue';
import { NButton } from 'naive-ui';
import { computed, defineAsyncComponent, onBeforeUnmount, ref, watch } from 'vue';
import { RouterLink } from 'vue-router';
import { isTyping } from '../../ui/useUndoKeys.ts';
import { useKeeper } from '../../session/keeper.ts';
import { useOpenedPiece } from '../../session/openedPiece.ts';
import { useRecord } from '../../session/record.ts';
import { useSettings } from '../../session/settings.ts';
import { useWorkings } from '../../session/workings.ts';
import { useWorkSoFar } from '../../session/workSoFar.ts';
import StepPicture from './StepPicture.vue';

const MoreDialog = defineAsyncComponent(() => import('./MoreDialog.vue'));

const HandOverDialog = defineAsyncComponent(async () => (await import('../hand-over/index.ts')).HandOverDialog);

/** What is glanced at with a needle in the hand: the present step, and one large target that says it is done. */
const props = defineProps<{ id: string }>();
const opened = useOpenedPiece();
const keeper = useKeeper();
const record = useRecord();
const settings = useSettings();
const workings = useWorkings();
const work = useWorkSoFar();
const missing = ref<string | null>(null);
watch(
  () => props.id,
  async (id) => {
    const opening = await keeper.open(id);
    if (opening.type !== 'overtaken') missing.value = opening.type === 'refused' ? opening.problem : null;
  },
  { immediate: true },
);

/** By lamp-light in the evening, unless she says otherwise here; at the desk it is as it was. */
const atDesk = settings.theme;
const hour = new Date().getHours();
if (hour >= 19 || hour < 7) settings.theme = 'lamp';
let isChosen = false;
const isLamp = computed(() => settings.theme === 'lamp');
function changeLight(): void {
  isChosen = true;
  settings.theme = isLamp.value ? 'light' : 'lamp';
}
const wake = useWakeLock();
const staysAwake = ref(true);
watch(
  () => work.isOpen,
  async (open) => {
    try {
      if (open) await wake.request('screen');
      else await wake.release();
      staysAwake.value = true;
    } catch {
      staysAwake.value = false;
    }
  },
  { immediate: true },
);
onBeforeUnmount(() => {
  if (!isChosen) settings.theme = atDesk;
  void wake.release().catch(() => undefined);
});

const now = ref(Date.now());
useIntervalFn(() => (now.value = Date.now()), 15_000);
const minutesOpen = computed(() =>
  work.soFar?.openSince ? Math.max(0, Math.floor((now.value - Date.parse(work.soFar.openSince)) / 60_000)) : 0,
);
/** Eyes and hands want a break after so long. */
const BREAK_MIN = 40;
const brokenAt = ref(0);
const wantsBreak = computed(() => work.isOpen && minutesOpen.value - brokenAt.value >= BREAK_MIN);
function takeBreak(): void {
  brokenAt.value = minutesOpen.value;
  void work.note({ type: 'break-taken' });
}

const colour = computed(() => work.colourOf(work.present));
const present = computed(() => work.present);
const count = computed(() => work.steps.length);
const number = computed(() => (work.soFar?.done.length ?? 0) + 1);

/** What the thread on the needle still does of the present step, as planned. */
const needle = computed(() => {
  const own = work.workOf(present.value);
  const plan = work.plan;
  if (!own || !plan || !present.value) return null;
  const first = own.portions[0];
  if (!first) return null;
  const all = own.portions.reduce((sum, { usedMm }) => sum + usedMm, 0);
  const isNew = own.loads === own.portions.length;
  let [before, total] = [0, 0];
  plan.work.forEach((other, i) =>
    other?.portions.forEach(({ need, load, usedMm }) => {
      if (need !== first.need || load !== first.load) return;
      total += usedMm;
      if (other !== own && plan.order[i]!.key !== present.value!.key && i < plan.order.indexOf(present.value!))
        before += usedMm;
    }),
  );
  const stitches = Math.max(1, Math.round((present.value.stitches * first.usedMm) / Math.max(1, all)));
  const isEnough = own.portions.length === 1;
  const begins = own.isParked
    ? 'Take up the parked needle.'
    : isNew
      ? 'Thread a new length.'
      : 'Go on with the thread in the needle.';
  return {
    share: total > 0 ? Math.max(0.05, 1 - before / total) : 1,
    text: `${begins} ${isEnough ? 'It lasts for all of this step.' : `About ${plural(stitches, 'stitch', 'stitches')}, then fasten off and take a new one.`}`,
  };
});

const needs = computed(() => (work.plan && work.sitting ? layOut(opened.piece, work.plan, work.sitting) : null));
const needlesOut = ref<number | null>(null);
const wantedNeedles = computed(() => needlesOut.value ?? needs.value?.needles.length ?? 1);
function begin(): void {
  brokenAt.value = 0;
  void work.note({ type: 'sitting-begun', needles: wantedNeedles.value });
  needlesOut.value = null;
}
const isEnding = ref(false);
const needlesIn = ref<number | null>(null);
async function end(): Promise<void> {
  await work.note({ type: 'sitting-ended', needles: needlesIn.value ?? work.soFar?.needlesOut ?? null });
  isEnding.value = false;
  needlesIn.value = null;
}
const fades = computed(() => markOf(opened.piece.mark)!.staysDays !== null);
const unsaid = computed(() => work.soFar?.unsaid[0] ?? null);

const hasMore = ref(false);
let pressed: ReturnType<typeof setTimeout> | undefined;
let wasLong = false;
const LONG_PRESS_MS = 550;
function press(): void {
  wasLong = false;
  pressed = setTimeout(() => {
    wasLong = true;
    hasMore.value = true;
  }, LONG_PRESS_MS);
}
function release(): void {
  clearTimeout(pressed);
}
function tap(): void {
  if (!wasLong) void work.done();
  wasLong = false;
}
useEventListener(window, 'keydown', (event: KeyboardEvent) => {
  if (isTyping(event) || event.ctrlKey || event.metaKey || event.altKey || hasMore.value || isEnding.value) return;
  const isButton = event.target instanceof HTMLButtonElement;
  const isGo = [' ', 'Enter'].includes(event.key);
  if ((isGo && !isButton) || event.key === 'PageDown') {
    event.preventDefault();
    if (work.isOpen) void work.done();
    else if (present.value) begin();
  } else if (event.key === 'PageUp') {
    event.preventDefault();
    void work.takeBack();
  }
});
const turnDeg = ref(0);
const isHandingOver = ref(false);
</script>

<template>
  <main v-if="missing" class="missing">
    <h1>This piece can’t be opened</h1>
    <p>{{ missing }}</p>
    <RouterLink to="/">Back to the bench</RouterLink>
  </main>
  <main v-else class="page" :class="{ open: work.isOpen }">
    <header>
      <RouterLink
        :to="{ name: 'piece', params: { id, step: 'at-the-hoop' } }"
        class="icon"
        aria-label="Back to the desk"
        ><ArrowLeft :size="22"
      /></RouterLink>
      <h1>{{ opened.piece.name }}</h1>
      <span v-if="work.isOpen" class="figure soft" role="timer">{{ formatDuration(minutesOpen / 60) }}</span>
      <NButton quaternary aria-label="Turn the picture as the hoop is turned" @click="turnDeg = (turnDeg + 90) % 360"
        ><RotateCw :size="20"
      /></NButton>
      <NButton quaternary :aria-label="isLamp ? 'By day' : 'By lamp-light'" @click="changeLight"
        ><Lamp :size="20"
      /></NButton>
      <NButton v-if="work.isOpen" data-test="end" @click="isEnding = true">End</NButton>
    </header>

    <p v-if="record.problem" class="line warn" role="alert">{{ record.problem }}</p>
    <p v-if="workings.problem" class="line warn" role="alert">{{ workings.problem }}</p>
    <p v-if="!work.plan" class="line" role="status">Working out the stitches…</p>

    <template v-else-if="work.soFar!.left.length === 0">
      <StepPicture :turn-deg="turnDeg" class="picture" />
      <section class="sheet">
        <h2>{{ work.steps.length === 0 ? 'Nothing to stitch yet' : 'All is stitched' }}</h2>
        <p v-if="work.steps.length > 0">
          {{ formatDuration(work.soFar!.seconds / 3600) }} at the hoop. What comes now stands under Transfer: how the
          mark comes out, and in which order.
        </p>
        <NButton v-if="work.canTakeBack" @click="work.takeBack">Take the last step back</NButton>
        <NButton v-if="work.isOpen" type="primary" size="large" @click="isEnding = true">End the sitting</NButton>
      </section>
    </template>

    <template v-else-if="!work.isOpen">
      <StepPicture :turn-deg="turnDeg" class="picture" />
      <section class="sheet" data-test="begin-sheet">
        <p v-if="work.soFar!.needlesMissing > 0" class="warn" role="alert">
          {{ plural(work.soFar!.needlesMissing, 'needle') }} from last time not yet found.
        </p>
        <h2>{{ number === 1 ? 'Before you begin' : 'Before you go on' }}</h2>
        <ul v-if="needs" class="needs">
          <li v-for="length in needs.lengths" :key="length.key">
            <i :style="{ background: length.hex }"></i>{{ length.name }}: {{ plural(length.count, 'length') }} of
            {{ plural(length.strands, 'strand') }}, {{ formatThread(length.cutMm, settings.units) }}
          </li>
          <li>Needles: {{ needs.needles.join(', ') }}</li>
          <li v-if="needs.drawn.length > 0">Draw anew first: {{ needs.drawn.join(', ') }}</li>
          <li v-if="opened.piece.hoop">
            {{ clothOf(opened.piece.cloth.kind)!.name }} drum-tight{{
              opened.piece.positions.length > 1 ? `, hoop in position ${needs.positions.join(', then ')}` : ''
            }}
          </li>
          <li class="soft">Light from the side, hoop raised to the eyes, back supported, both feet down.</li>
        </ul>
        <div class="count">
          <span>Needles and pins out</span>
          <NButton aria-label="One fewer" @click="needlesOut = Math.max(0, wantedNeedles - 1)">−</NButton>
          <strong class="figure" data-test="needles-out">{{ wantedNeedles }}</strong>
          <NButton aria-label="One more" @click="needlesOut = wantedNeedles + 1">+</NButton>
        </div>
        <button type="button" class="go" data-test="begin" @click="begin">Begin</button>
        <NButton data-test="hand-over" @click="isHandingOver = true">Hand over to another device…</NButton>
        <p v-if="work.left" class="soft">
          {{ formatDurationRange(work.left.seconds.p10 / 3600, work.left.seconds.p90 / 3600) }} left at your pace.
        </p>
      </section>
    </template>

    <template v-else>
      <StepPicture :turn-deg="turnDeg" class="picture" />
      <section class="step">
        <p v-if="unsaid" class="line ask" role="status">
          {{ formatDuration(unsaid.seconds / 3600) }} without a tap: stitched, or away?
          <NButton size="small" @click="work.note({ type: 'long-gap', stitched: true, before: unsaid!.before })"
            >Stitched</NButton
          >
          <NButton size="small" @click="work.note({ type: 'long-gap', stitched: false, before: unsaid!.before })"
            >Away</NButton
          >
        </p>
        <p v-else-if="wantsBreak" class="line ask" role="status">
          Look into the distance, drop your shoulders, turn your wrists. Sharp or lasting pain: stop, and see a doctor
          or physiotherapist. <NButton size="small" @click="takeBreak">Done</NButton>
        </p>
        <h2 data-test="present">{{ work.nameOf(present) }}</h2>
        <p class="what">{{ work.stitchName(present) }}</p>
        <p class="thread">
          <i class="bar" :style="{ background: colour.hex }"></i>
          <span>{{ colour.name }}, {{ plural(present!.strands, 'strand') }}, {{ needleName(present!.needle) }}</span>
        </p>
        <div v-if="needle" class="needle">
          <span class="gauge" aria-hidden="true"
            ><b :style="{ width: `${Math.round(needle.share * 100)}%`, background: colour.hex }"></b
          ></span>
          <span>{{ needle.text }}</span>
        </div>
        <p v-if="!staysAwake" class="soft small">This browser can’t keep the screen awake.</p>
        <div class="side">
          <NButton :disabled="!work.canTakeBack" data-test="back" @click="work.takeBack"
            ><Undo2 :size="18" />&nbsp;Take back</NButton
          >
          <NButton data-test="more" @click="hasMore = true">How, later, wrong…</NButton>
        </div>
      </section>
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
        <strong>Done{{ work.next ? ', next' : '' }}</strong>
        <span v-if="work.next">{{ work.nameOf(work.next) }}, {{ work.stitchName(work.next).toLowerCase() }}</span>
        <span class="figure"
          >{{ number }} of {{ count }} · about {{ formatDuration(work.secondsOf(present) / 3600) }}</span
        >
      </button>
      <MoreDialog v-if="hasMore" @close="hasMore = false" />
    </template>

    <HandOverDialog v-if="isHandingOver" @close="isHandingOver = false" />
    <div v-if="isEnding" class="veil" role="dialog" aria-modal="true" aria-label="End the sitting">
      <section class="sheet card">
        <h2>Before you close the cover</h2>
        <div class="count">
          <span>Needles and pins in</span>
          <NButton
            aria-label="One fewer"
            @click="needlesIn = Math.max(0, (needlesIn ?? work.soFar!.needlesOut ?? 0) - 1)"
            >−</NButton
          >
          <strong class="figure" data-test="needles-in">{{ needlesIn ?? work.soFar!.needlesOut ?? 0 }}</strong>
          <NButton aria-label="One more" @click="needlesIn = (needlesIn ?? work.soFar!.needlesOut ?? 0) + 1">+</NButton>
        </div>
        <p
          v-if="(needlesIn ?? work.soFar!.needlesOut ?? 0) !== (work.soFar!.needlesOut ?? 0)"
          class="warn"
          role="alert"
        >
          {{ work.soFar!.needlesOut }} went out. Look on the chair, the floor and your clothes before you get up.
        </p>
        <ul class="needs">
          <li v-if="opened.piece.hoop">Take the ring off, or loosen it: left on, it marks the cloth.</li>
          <li v-if="fades">The mark may fade before next time: look whether what comes next still shows.</li>
          <li>Cover the work from light and dust.</li>
        </ul>
        <button type="button" class="go" data-test="close-sitting" @click="end">End the sitting</button>
        <NButton @click="isEnding = false">Go on stitching</NButton>
      </section>
    </div>
  </main>
</template>

<style scoped>
.page {
  height: 100dvh;
  display: grid;
  grid-template-rows: auto minmax(0, 1fr);
  background: var(--linen);
  font-size: 18px;
}
.page.open {
  grid-template-rows: auto minmax(0, 1fr) auto minmax(0, 1.15fr);
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
.sheet {
  overflow-y: auto;
  display: grid;
  gap: 12px;
  align-content: start;
  padding: 16px 18px 24px;
  background: var(--paper);
}
.sheet h2 {
  font-size: 24px;
}
.sheet .needs {
  font-size: 16px;
}
.needs {
  margin: 0;
  padding-left: 4px;
  list-style: none;
  display: grid;
  gap: 6px;
}
.needs i {
  display: inline-block;
  width: 34px;
  height: 9px;
  border-radius: 5px;
  margin-right: 9px;
  border: 1px solid rgb(0 0 0 / 20%);
}
.count {
  display: flex;
  align-items: center;
  gap: 12px;
}
.count span {
  flex: 1;
}
.count strong {
  font-size: 24px;
  min-width: 34px;
  text-align: center;
}
.go,
.done {
  font: inherit;
  font-family: var(--serif);
  border: 0;
  background: var(--madder);
  color: var(--on-madder);
  cursor: pointer;
}
.go {
  font-size: 26px;
  min-height: 72px;
  border-radius: 10px;
  position: sticky;
  bottom: 0;
}
.step {
  display: grid;
  gap: 6px;
  padding: 10px 18px;
  background: var(--paper);
}
.step h2 {
  font-size: 30px;
}
.what {
  font-size: 22px;
}
.thread {
  display: flex;
  align-items: center;
  gap: 10px;
}
.bar {
  flex: none;
  width: 64px;
  height: 14px;
  border-radius: 7px;
  border: 1px solid rgb(0 0 0 / 20%);
}
.needle {
  display: grid;
  gap: 4px;
  font-size: 16px;
}
.gauge {
  height: 6px;
  border-radius: 3px;
  background: var(--chalk);
  overflow: hidden;
}
.gauge b {
  display: block;
  height: 100%;
}
.side {
  display: flex;
  gap: 10px;
  flex-wrap: wrap;
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
  font-size: 40px;
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
.warn {
  border-left: 4px solid var(--madder);
  padding-left: 10px;
}
.veil {
  position: fixed;
  inset: 0;
  display: grid;
  place-items: center;
  background: rgb(0 0 0 / 55%);
}
.card {
  width: min(94vw, 460px);
  max-height: 94dvh;
  border-radius: 10px;
}
.missing {
  max-width: 560px;
  margin: 12vh auto;
  padding: 0 20px;
  display: grid;
  gap: 14px;
}
@media (min-width: 760px) and (orientation: landscape) {
  .page.open {
    grid-template: auto minmax(0, 1fr) auto / minmax(0, 1.3fr) minmax(320px, 1fr);
  }
  .page.open header {
    grid-column: 1 / -1;
  }
  .page.open .picture {
    grid-row: 2 / 4;
  }
  .page.open .done {
    min-height: 44dvh;
  }
  .page.open .step {
    align-content: start;
    overflow-y: auto;
  }
}
</style>
