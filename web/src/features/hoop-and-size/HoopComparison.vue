<script setup lang="ts">
import { inHoop, type HoopTrial } from '@junctura/core/advice';
import {
  AIR_MM,
  holdingOf,
  HOOP_SIZES_MM,
  hoopSizeText,
  OVAL_SIZES_MM,
  type HoopHolding,
} from '@junctura/core/materials';
import { formatDurationRange, formatLength } from '@junctura/core/measure';
import { plainHoop, setHoop, type Hoop } from '@junctura/core/piece';
import { NButton, NRadio, NRadioGroup } from 'naive-ui';
import { computed, onBeforeUnmount, ref, shallowRef, triggerRef, watch } from 'vue';
import { useOpenedPiece } from '../../session/openedPiece.ts';
import { useSettings } from '../../session/settings.ts';
import type { JobOutput } from '../../workers/jobs.ts';
import { pictures } from '../../workers/workerPool.ts';
import TheDialog from '../../ui/TheDialog.vue';
import TryingBar from '../../ui/TryingBar.vue';
import { showPicture } from '../../picture/showPicture.ts';
import TrialChart from './TrialChart.vue';
import * as say from './words.ts';

/** The design in every usual hoop at once: what it takes, and what is lost. */
const emit = defineEmits<{ close: [] }>();
const opened = useOpenedPiece();
const settings = useSettings();

const airMm = opened.piece.hoop?.airMm ?? AIR_MM.usual;
const SHAPES = {
  round: HOOP_SIZES_MM.map((mm) => plainHoop(mm, airMm)),
  oval: OVAL_SIZES_MM.map((oval) => ({ ...plainHoop(oval.nominalMm, airMm), ...oval })),
} as const;
const shape = ref<keyof typeof SHAPES>((opened.piece.hoop?.shortMm ?? null) === null ? 'round' : 'oval');
const hoops = computed((): readonly Hoop[] => SHAPES[shape.value]);
const trials = shallowRef<(HoopTrial | null)[]>([]);
const problem = ref<string | null>(null);
const isStopped = ref(false);
const canvases = ref<HTMLCanvasElement[]>([]);
let giveUp = new AbortController();
function tryAll(): void {
  giveUp.abort();
  giveUp = new AbortController();
  trials.value = hoops.value.map(() => null);
  isStopped.value = false;
  problem.value = null;
  // The largest first: they take longest.
  const order = hoops.value.map((_, index) => index).reverse();
  for (const index of order) void tryOne(index, giveUp.signal);
}
async function tryOne(index: number, signal: AbortSignal): Promise<void> {
  const asked = { piece: opened.piece, hoop: hoops.value[index]!, factors: settings.factors };
  const answer = await pictures.ask('tryHoop', asked, { signal });
  if (answer === null || signal.aborted) return;
  if (answer.ok) show(index, answer.value);
  else problem.value = 'The sizes could not be worked out. Close this and try again.';
}
function show(index: number, { trial, picture }: JobOutput<'tryHoop'>): void {
  trials.value[index] = trial;
  triggerRef(trials);
  showPicture(canvases.value[index], picture);
}
watch(shape, tryAll, { immediate: true, flush: 'post' });
onBeforeUnmount(() => giveUp.abort());

const done = computed(() => trials.value.filter((trial) => trial !== null));
const share = computed(() => done.value.length / hoops.value.length);
function stop(): void {
  giveUp.abort();
  isStopped.value = true;
}
const mm = (value: number): string => formatLength(value, settings.units);
const sizeText = (hoop: Hoop): string => hoopSizeText(hoop, settings.units);
const isPresent = ({ nominalMm, shortMm }: Hoop): boolean =>
  opened.piece.hoop?.nominalMm === nominalMm && opened.piece.hoop.shortMm === shortMm;
/** How each hoop is held: told where the design is as large in all of them. */
const HOLDING: Readonly<Record<HoopHolding, string>> = {
  light: 'light in the hand',
  easy: 'your fingers reach the middle',
  far: 'your fingers barely reach the middle',
  stand: 'needs a stand or a table',
};
const chosenMm = computed(() => hoops.value.find(isPresent)?.nominalMm ?? null);
function losses(trial: HoopTrial): string[] {
  const lines: string[] = [];
  if (trial.tooSmall.length > 0) lines.push(say.tooSmall(trial.tooSmall.length));
  if (trial.merging > 0) lines.push(say.merging(trial.merging));
  if (trial.tooLong.length > 0) lines.push(say.satinTooLong(trial.tooLong.length));
  return lines;
}
function choose(trial: HoopTrial): void {
  const { hoop, placement } = inHoop(opened.piece, { ...(opened.piece.hoop ?? trial.hoop), ...trial.hoop });
  opened.edit(
    setHoop(
      opened.piece,
      hoop,
      placement,
      trial.held ? say.useHoop(sizeText(trial.hoop)) : say.fitTo(sizeText(trial.hoop)),
    ),
  );
  emit('close');
}
</script>

<template>
  <TheDialog title="Compare hoop sizes" width="1160px" @close="emit('close')">
    <NRadioGroup v-model:value="shape" name="hoop-shape" class="shapes">
      <NRadio value="round">Round hoops</NRadio>
      <NRadio value="oval">Oval hoops, turned for the best fit</NRadio>
    </NRadioGroup>
    <p v-if="done[0]?.held" class="soft">
      {{ say.keepsSizeOf(mm(done[0].widthMm), mm(done[0].heightMm)) }}
    </p>
    <TryingBar
      v-if="share < 1 && !problem"
      :share="share"
      :said="isStopped ? 'Stopped' : say.sizesDone(done.length, hoops.length)"
      :can-stop="!isStopped"
      @stop="stop"
    />
    <p v-if="problem" role="alert">{{ problem }}</p>
    <ul class="hoops">
      <li v-for="(hoop, i) in hoops" :key="sizeText(hoop)" :class="{ now: isPresent(hoop) }">
        <div class="picture" :style="{ aspectRatio: hoop.nominalMm / (hoop.shortMm ?? hoop.nominalMm) }">
          <canvas ref="canvases" :aria-label="say.pieceInHoop(sizeText(hoop))"></canvas>
        </div>
        <h3>{{ sizeText(hoop) }}</h3>
        <template v-if="trials[i]">
          <p v-if="trials[i]!.held" class="small figure" data-test="held">
            {{ say.clearOfRing(trials[i]!.held!.clearMm, mm(Math.abs(trials[i]!.held!.clearMm))) }}<br />
            {{ say.positionsNeeded(trials[i]!.held!.positions) }}<br />
            <template v-if="trials[i]!.held!.underRing > 0"
              >{{ say.ringLiesOn(trials[i]!.held!.underRing) }}<br
            /></template>
            {{ HOLDING[holdingOf(hoop)] }}
          </p>
          <p v-else class="small figure">
            {{ say.wide(mm(trials[i]!.widthMm)) }}<br />{{
              formatDurationRange(trials[i]!.hours.p10, trials[i]!.hours.p90)
            }}<br />
            {{ say.threadAndSkeins(trials[i]!.threadM, trials[i]!.skeins) }}
          </p>
          <p v-if="!trials[i]!.held" class="small" :class="losses(trials[i]!).length > 0 ? 'lost' : 'kept'">
            <template v-if="losses(trials[i]!).length > 0">
              <span v-for="loss in losses(trials[i]!)" :key="loss">{{ loss }}<br /></span>
            </template>
            <template v-else>no detail lost</template>
          </p>
          <NButton size="tiny" @click="choose(trials[i]!)">Use this hoop</NButton>
        </template>
      </li>
    </ul>
    <TrialChart v-if="done.length > 1 && !done[0]!.held" :trials="done" :chosen-mm="chosenMm" class="chart" />
  </TheDialog>
</template>

<style scoped>
.hoops {
  list-style: none;
  margin: 0 0 16px;
  padding: 0;
  display: grid;
  grid-template-columns: repeat(8, 1fr);
  gap: 12px;
}
li {
  display: grid;
  gap: 4px;
  align-content: start;
  padding: 6px;
  border-radius: 8px;
}
li.now {
  background: var(--linen-deep);
}
.picture {
  border-radius: 50%;
  overflow: hidden;
  border: 5px solid var(--wood);
  background: var(--linen);
}
canvas {
  width: 100%;
  height: 100%;
  object-fit: cover;
}
.shapes {
  margin-bottom: 12px;
}
h3 {
  font-size: 16px;
}
.lost {
  color: var(--ink);
  border-left: 3px solid var(--weld);
  padding-left: 6px;
}
.kept {
  color: var(--ink-soft);
}
.chart {
  max-width: 620px;
}
@media (max-width: 1000px) {
  .hoops {
    grid-template-columns: repeat(4, 1fr);
  }
}
</style>
