<script setup lang="ts">
import { AIR_MM, innerDiameterMm } from '@junctura/core/materials';
import { formatLength, MM_PER_INCH } from '@junctura/core/measure';
import { useElementSize } from '@vueuse/core';
import { NButton } from 'naive-ui';
import { computed, ref, shallowRef, watch } from 'vue';
import { usePainting } from '../composables/usePainting.ts';
import { usePen } from '../composables/usePen.ts';
import type { Side } from '../picture/paintPicture.ts';
import { sceneOf, type Scene } from '../picture/scene.ts';
import { panned, truePxPerMm, viewOf, zoomed, type View } from '../picture/view.ts';
import { useBench } from '../stores/bench.ts';
import { useSettings } from '../stores/settings.ts';
import HoopRing from './HoopRing.vue';
import PartsOverlay from './PartsOverlay.vue';
import PenOverlay from './PenOverlay.vue';

/** What the hoop shows: the drawing alone, its fit, the stitches, or the lines to be transferred. */
const props = defineProps<{ show: 'drawing' | 'fit' | 'stitches' | 'lines'; only?: ReadonlySet<string> | null }>();

const bench = useBench();
const settings = useSettings();
const frame = ref<HTMLElement | null>(null);
const canvas = ref<HTMLCanvasElement | null>(null);
const { width, height } = useElementSize(frame);
const size = computed(() => ({ width: width.value, height: height.value }));
const side = ref<Side>('front');
const RING_ROOM = 1.17;

const plan = computed(() => bench.workings?.plan ?? null);
const innerMm = computed(() => (bench.piece.hoop ? innerDiameterMm(bench.piece.hoop.nominalMm) : null));
/** How far out there is something to see, mm. */
const reachMm = computed(() => {
  if (innerMm.value !== null) return (innerMm.value / 2) * RING_ROOM;
  const circle = plan.value?.design.circle;
  return circle ? Math.hypot(circle.x, circle.y) + circle.r + 15 : 60;
});

const view = shallowRef<View>({ centreX: 0, centreY: 0, pxPerMm: 4 });
const isWhole = ref(true);
function showAll(): void {
  view.value = viewOf(reachMm.value, size.value);
  isWhole.value = true;
}
watch([size, reachMm], () => isWhole.value && showAll(), { immediate: true });

/** CSS pixels that make a millimetre on this screen. */
const truePx = computed(() => truePxPerMm(settings.screenBarMm));
const isTrueSize = computed(() => Math.abs(view.value.pxPerMm / truePx.value - 1) < 0.001);
function showTrueSize(): void {
  view.value = { ...view.value, pxPerMm: truePx.value };
  isWhole.value = false;
}

const scene = computed<Scene | null>(() => {
  if (!bench.workings) return null;
  const only = props.show === 'stitches' ? (props.only ?? null) : new Set<string>();
  return sceneOf(bench.piece, bench.workings, only, props.only ? bench.colourPicked : null);
});
const paintedSide = computed<Side>(() => (props.show === 'stitches' ? side.value : 'front'));
usePainting({ canvas, scene, view, side: paintedSide, size });

const isBack = computed(() => paintedSide.value === 'back');
const viewBox = computed(() => {
  const { centreX, centreY, pxPerMm } = view.value;
  const [w, h] = [width.value / pxPerMm, height.value / pxPerMm];
  return `${centreX - w / 2} ${centreY - h / 2} ${w} ${h}`;
});
const hairline = computed(() => 1.2 / view.value.pxPerMm);
const stripe = computed(() => 10 / view.value.pxPerMm);

/** With the pen out a drag draws, in place of moving the view; from behind nothing is drawn. */
const pen = usePen();
const isPenOut = computed(() => bench.pen !== null && props.show === 'stitches' && !isBack.value);
const shownPart = computed(
  () => bench.workings?.plan.parts.find(({ part }) => part.id === bench.picked[0] && part.kind !== 'spot') ?? null,
);
const PEN_WORDS = {
  guides: 'Draw strokes along which the stitches shall lie.',
  vein: 'Take hold of the vein and move it, or draw it anew from foot to tip.',
  borders: 'Draw the lines between the shades, from edge to edge.',
  points: 'Press where each highlight shall stand.',
  centre: 'Press where the stitches run to.',
} as const;
function onCloth(event: PointerEvent): [x: number, y: number] {
  const box = frame.value!.getBoundingClientRect();
  const { centreX, centreY, pxPerMm } = view.value;
  return [
    centreX + (event.clientX - box.left - width.value / 2) / pxPerMm,
    centreY + (event.clientY - box.top - height.value / 2) / pxPerMm,
  ];
}

/** A drag with the pointer moves the view; a press without one picks a part. */
let drag: { x: number; y: number; moved: boolean } | null = null;
function press(event: PointerEvent): void {
  if (isPenOut.value) return pen.start(...onCloth(event));
  drag = { x: event.clientX, y: event.clientY, moved: false };
}
function move(event: PointerEvent): void {
  if (isPenOut.value) {
    if (event.buttons !== 0) pen.move(...onCloth(event));
    return;
  }
  if (!drag || event.buttons === 0) return;
  const [dx, dy] = [event.clientX - drag.x, event.clientY - drag.y];
  if (!drag.moved && Math.hypot(dx, dy) < 4) return;
  drag = { x: event.clientX, y: event.clientY, moved: true };
  view.value = panned(view.value, dx, dy);
  isWhole.value = false;
}
function release(event: PointerEvent): void {
  if (isPenOut.value) return pen.end();
  const wasDrag = drag?.moved;
  drag = null;
  if (wasDrag) return;
  const id = (event.target as Element).getAttribute('data-part');
  if (id === null) return bench.pick([]);
  const isAdding = event.shiftKey || event.ctrlKey || event.metaKey;
  if (!isAdding) return bench.pick([id]);
  bench.pick(bench.picked.includes(id) ? bench.picked.filter((other) => other !== id) : [...bench.picked, id]);
}
function wheel(event: WheelEvent): void {
  const box = frame.value!.getBoundingClientRect();
  zoom(Math.exp(-event.deltaY * 0.0016), event.clientX - box.left, event.clientY - box.top);
}
function zoom(factor: number, x = width.value / 2, y = height.value / 2): void {
  view.value = zoomed(view.value, factor, x, y, size.value);
  isWhole.value = false;
}
function key(event: KeyboardEvent): void {
  const step = 40;
  const pans: Record<string, [number, number]> = {
    ArrowLeft: [step, 0],
    ArrowRight: [-step, 0],
    ArrowUp: [0, step],
    ArrowDown: [0, -step],
  };
  const pan = pans[event.key];
  if (event.ctrlKey || event.metaKey || event.altKey) return;
  if (pan) view.value = panned(view.value, ...pan);
  else if (event.key === '+' || event.key === '=') zoom(1.4);
  else if (event.key === '-') zoom(1 / 1.4);
  else if (event.key === '0') showAll();
  else if (event.key === '1') showTrueSize();
  else if ((event.key === 'Escape' || event.key === 'Enter') && bench.pen) bench.pen = null;
  else if (event.key === 'Escape') bench.pick([]);
  else return;
  event.stopPropagation();
  if (pan) isWhole.value = false;
  event.preventDefault();
}

/** Marks that a ruler has, in mm, and the longest of them that takes up to a quarter of the width. */
const rulerMm = computed(() =>
  settings.units === 'inch'
    ? [4, 2, 1, 1 / 2, 1 / 4, 1 / 8, 1 / 16].map((inch) => inch * MM_PER_INCH)
    : [100, 50, 20, 10, 5, 2, 1],
);
const ruleMm = computed(
  () => rulerMm.value.find((mm) => mm * view.value.pxPerMm <= width.value / 4) ?? rulerMm.value.at(-1)!,
);

defineExpose({ showAll, showTrueSize, turnOver: () => (side.value = side.value === 'front' ? 'back' : 'front') });
</script>

<template>
  <section
    ref="frame"
    class="hoop-view"
    :class="{ drawing: isPenOut }"
    tabindex="0"
    aria-label="The hoop: arrow keys move, plus and minus enlarge, 0 shows all, 1 shows true size"
    @pointerdown="press"
    @pointermove="move"
    @pointerup="release"
    @wheel.prevent="wheel"
    @keydown="key"
  >
    <canvas ref="canvas" class="picture" :data-show="show" aria-hidden="true"></canvas>
    <svg class="overlay" :viewBox="viewBox" aria-hidden="true">
      <HoopRing :inner-mm="innerMm" :reach-mm="reachMm" />
      <g v-if="show === 'fit' && plan?.design.circle" fill="none" :stroke-width="hairline">
        <circle :cx="plan.design.circle.x" :cy="plan.design.circle.y" :r="plan.design.circle.r" class="fit-circle" />
        <circle
          v-if="innerMm !== null"
          :r="Math.max(0, innerMm / 2 - (bench.piece.hoop?.airMm ?? AIR_MM.usual))"
          class="air-circle"
          :stroke-dasharray="`${stripe} ${stripe / 2}`"
        />
        <path :d="`M0 ${-stripe}V${stripe}M${-stripe} 0H${stripe}`" class="air-circle" />
      </g>
      <PenOverlay
        v-if="show === 'stitches' && shownPart && !isBack && (!only || isPenOut)"
        :planned="shownPart"
        :stroke="pen.points.value"
        :dot-mm="4 / view.pxPerMm"
      />
      <PartsOverlay :show="show" :outlined="!only" :transform="isBack ? 'scale(-1 1)' : undefined" />
    </svg>
    <div class="scale" aria-hidden="true">
      <span :style="{ width: `${ruleMm * view.pxPerMm}px` }"></span>
      <em class="figure">{{ formatLength(ruleMm, settings.units) }}</em>
    </div>
    <div class="tools" @pointerdown.stop @pointerup.stop>
      <NButton v-if="show === 'stitches'" size="small" @click="side = side === 'front' ? 'back' : 'front'">
        {{ side === 'front' ? 'Turn over' : 'Back to the front' }}
      </NButton>
      <NButton size="small" :disabled="isWhole" @click="showAll">Whole hoop</NButton>
      <NButton size="small" :type="isTrueSize ? 'primary' : 'default'" @click="showTrueSize">True size</NButton>
      <NButton size="small" aria-label="Smaller" @click="zoom(1 / 1.5)">−</NButton>
      <NButton size="small" aria-label="Larger" @click="zoom(1.5)">+</NButton>
    </div>
    <p v-if="isPenOut && bench.pen" class="side-note pen-note" role="status" @pointerdown.stop @pointerup.stop>
      {{ PEN_WORDS[bench.pen.draws] }}
      <NButton size="tiny" type="primary" @click="bench.pen = null">Done</NButton>
    </p>
    <p v-if="isBack" class="side-note">The back, as it lies when the hoop is turned over</p>
    <slot />
  </section>
</template>

<style scoped>
.hoop-view {
  --halo: #1d58b8;
  position: relative;
  overflow: hidden;
  height: 100%;
  min-height: 0;
  background: var(--linen-deep);
  cursor: grab;
  touch-action: none;
}
.hoop-view:active {
  cursor: grabbing;
}
.hoop-view.drawing,
.hoop-view.drawing :deep(path) {
  cursor: crosshair;
}
.pen-note {
  pointer-events: auto !important;
  display: flex;
  gap: 10px;
  align-items: center;
  white-space: nowrap;
}
.hoop-view:focus-visible {
  outline-offset: -3px;
}
.picture,
.overlay {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
}
.picture {
  transform-origin: center;
}
.fit-circle {
  stroke: #1d58b8;
}
.air-circle {
  stroke: #5a4a2c;
}
.scale {
  position: absolute;
  left: 14px;
  top: 12px;
  display: flex;
  align-items: center;
  gap: 8px;
  pointer-events: none;
  padding: 2px 8px;
  border-radius: 4px;
  background: color-mix(in srgb, var(--paper) 82%, transparent);
}
.scale span {
  height: 7px;
  border: 1.5px solid var(--ink);
  border-top: 0;
}
.scale em {
  font-style: normal;
  font-size: 14px;
}
.tools {
  position: absolute;
  right: 14px;
  bottom: 12px;
  display: flex;
  gap: 6px;
  cursor: default;
}
.tools :deep(.n-button) {
  background: var(--paper);
}
.tools :deep(.n-button--primary-type) {
  background: var(--madder);
}
.side-note {
  position: absolute;
  top: 12px;
  left: 50%;
  transform: translateX(-50%);
  background: var(--paper);
  padding: 3px 12px;
  border-radius: 4px;
  font-size: 14px;
  pointer-events: none;
}
</style>
