<script setup lang="ts">
import { pictureOnCloth, positionsOf, roomHalvesMm } from '@junctura/core/drawing';
import { ARMS_LENGTH_BLUR_MM, seenAs } from '@junctura/core/colour';
import { innerDiameterMm, innerHalvesMm, outerHalvesMm } from '@junctura/core/materials';
import { pathData } from '@junctura/core/geometry';
import { formatLength, MM_PER_INCH, roundTo } from '@junctura/core/measure';
import { setHoop, setPositions } from '@junctura/core/piece';
import { useElementSize } from '@vueuse/core';
import { NButton } from 'naive-ui';
import { computed, ref, shallowRef, watch } from 'vue';
import { usePainting } from '../composables/usePainting.ts';
import { DRAWING_PENS, usePen } from '../composables/usePen.ts';
import type { Side } from '../picture/paintPicture.ts';
import { sceneOf, type Scene } from '../picture/scene.ts';
import { panned, truePxPerMm, viewOf, zoomed, type View } from '../picture/view.ts';
import { useBench } from '../stores/bench.ts';
import { useSettings } from '../stores/settings.ts';
import DetailMarks from './DetailMarks.vue';
import HoopRing from './HoopRing.vue';
import PartsOverlay from './PartsOverlay.vue';
import PenOverlay from './PenOverlay.vue';
import TransferOverlay from './TransferOverlay.vue';

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
/** Worked in several positions, the cloth lies free and the hoop is shown where it will be set. */
const positions = computed(() => (bench.piece.hoop && bench.piece.positions.length > 1 ? bench.piece.positions : []));
const isMounted = computed(() => bench.piece.hoop !== null && positions.value.length === 0);
const innerMm = computed(() => (isMounted.value ? innerDiameterMm(bench.piece.hoop!.nominalMm) : null));
const shortMm = computed(() => (bench.piece.hoop?.shortMm == null ? null : innerDiameterMm(bench.piece.hoop.shortMm)));
/** How far out there is something to see, mm. */
const reachMm = computed(() => {
  if (innerMm.value !== null) return (innerMm.value / 2) * RING_ROOM;
  if (positions.value.length > 0) {
    const [a, b] = outerHalvesMm(bench.piece.hoop!);
    return Math.max(...positions.value.map(([x, y]) => Math.max(Math.abs(x) + a, Math.abs(y) + b))) + 12;
  }
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
  const { seeing } = bench;
  const seen = seeing === 'daylight' || seeing === 'armsLength' ? undefined : (hex: string) => seenAs(hex, seeing);
  return sceneOf(bench.piece, bench.workings, only, props.only ? bench.colourPicked : null, seen);
});
/** At arm’s length the eye blurs what is fine. */
const blur = computed(() =>
  bench.seeing === 'armsLength' ? `blur(${(ARMS_LENGTH_BLUR_MM * view.value.pxPerMm).toFixed(2)}px)` : undefined,
);
const paintedSide = computed<Side>(() => (props.show === 'stitches' ? side.value : 'front'));
usePainting({ canvas, scene, view, side: paintedSide, size });

const isBack = computed(() => paintedSide.value === 'back');
/** What is left of the ring inside its air, about each position. */
const rings = computed(() => {
  if (!bench.piece.hoop) return [];
  const [a, b] = innerHalvesMm(bench.piece.hoop);
  const [airA, airB] = roomHalvesMm(bench.piece.hoop);
  return positionsOf(bench.piece).map(([x, y], i) => ({ x, y, a, b, airA, airB, number: i + 1 }));
});
const viewBox = computed(() => {
  const { centreX, centreY, pxPerMm } = view.value;
  const [w, h] = [width.value / pxPerMm, height.value / pxPerMm];
  return `${centreX - w / 2} ${centreY - h / 2} ${w} ${h}`;
});
const hairline = computed(() => 1.2 / view.value.pxPerMm);
const stripe = computed(() => 10 / view.value.pxPerMm);

/** The picture to draw over, where the drawing is looked at. */
const underlay = computed(() => {
  const { underlay: picture } = bench.piece.drawing;
  return props.show === 'drawing' && picture && picture.strength > 0 ? picture : null;
});
const underlayTransform = computed(() => {
  return `matrix(${pictureOnCloth(bench.piece.placement, underlay.value!).join(' ')})`;
});

/** With the pen out a drag draws, in place of moving the view; from behind nothing is drawn. */
const pen = usePen(() => view.value.pxPerMm);
const isPenOut = computed(() => {
  if (bench.pen === null) return false;
  return DRAWING_PENS.has(bench.pen.draws) ? props.show === 'drawing' : props.show === 'stitches' && !isBack.value;
});
const shownPart = computed(
  () => bench.workings?.plan.parts.find(({ part }) => part.id === bench.picked[0] && part.kind !== 'spot') ?? null,
);
const PEN_WORDS = {
  guides: 'Draw strokes along which the stitches shall lie.',
  vein: 'Take hold of the vein and move it, or draw it anew from foot to tip.',
  borders: 'Draw the lines between the shades, from edge to edge.',
  points: 'Press where each highlight shall stand.',
  centre: 'Press where the stitches run to.',
  area: 'Draw round an area; it closes by itself.',
  line: 'Draw a line. Its ends set themselves upon what is near.',
  spot: 'Press where each dot shall stand.',
  knife: 'Draw a line right across the picked part to cut it in two.',
} as const;
const drawnPath = computed(() =>
  isPenOut.value && props.show === 'drawing' && pen.points.value.length >= 4
    ? pathData({ points: Float64Array.from(pen.points.value), closed: false }, 2)
    : '',
);
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
/** The hoop position that is being dragged, and where it was taken hold of. */
let gripped: { index: number; x: number; y: number; from: readonly [number, number] } | null = null;
function press(event: PointerEvent): void {
  if (isPenOut.value) return pen.start(...onCloth(event));
  const grip = (event.target as Element).closest('[data-position]');
  if (grip) {
    const index = Number(grip.getAttribute('data-position'));
    const [x, y] = onCloth(event);
    gripped = { index, x, y, from: bench.piece.positions[index]! };
    return;
  }
  drag = { x: event.clientX, y: event.clientY, moved: false };
}
function move(event: PointerEvent): void {
  if (isPenOut.value) {
    if (event.buttons !== 0) pen.move(...onCloth(event));
    return;
  }
  if (gripped && event.buttons !== 0) {
    const { index, x, y, from } = gripped;
    const [nowX, nowY] = onCloth(event);
    movePosition(index, roundTo(from[0] + nowX - x, 1), roundTo(from[1] + nowY - y, 1));
    return;
  }
  if (!drag || event.buttons === 0) return;
  const [dx, dy] = [event.clientX - drag.x, event.clientY - drag.y];
  if (!drag.moved && Math.hypot(dx, dy) < 4) return;
  drag = { x: event.clientX, y: event.clientY, moved: true };
  view.value = panned(view.value, dx, dy);
  isWhole.value = false;
}
function movePosition(index: number, x: number, y: number): void {
  const moved = bench.piece.positions.map((position, i) => (i === index ? ([x, y] as const) : position));
  bench.edit(setPositions(bench.piece, moved));
}
/** Moves the design on the cloth by keys: a millimetre, or with Alt a tenth. */
function nudge(way: readonly [number, number], byMm: number): void {
  const { placement, hoop } = bench.piece;
  const moved = { ...placement, xMm: placement.xMm + way[0] * byMm, yMm: placement.yMm + way[1] * byMm };
  bench.edit(setHoop(bench.piece, hoop, moved, 'Move the design'));
}
function release(event: PointerEvent): void {
  if (gripped) {
    gripped = null;
    return;
  }
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
  if (pan && event.shiftKey && props.show === 'fit' && !event.ctrlKey && !event.metaKey) {
    nudge([-pan[0] / step, -pan[1] / step], event.altKey ? 0.1 : 1);
    event.stopPropagation();
    event.preventDefault();
    return;
  }
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
    <canvas ref="canvas" class="picture" :data-show="show" :style="{ filter: blur }" aria-hidden="true"></canvas>
    <svg class="overlay" :viewBox="viewBox" aria-hidden="true">
      <image
        v-if="underlay"
        :href="underlay.picture"
        :width="underlay.widthPx"
        :height="underlay.heightPx"
        :transform="underlayTransform"
        :opacity="underlay.strength"
        preserveAspectRatio="none"
      />
      <HoopRing :inner-mm="innerMm" :short-mm="shortMm" :reach-mm="reachMm" />
      <path v-if="drawnPath" :d="drawnPath" class="drawn" />
      <g v-if="show === 'fit' && plan?.design.circle" fill="none" :stroke-width="hairline">
        <circle :cx="plan.design.circle.x" :cy="plan.design.circle.y" :r="plan.design.circle.r" class="fit-circle" />
        <g v-for="ring in rings" :key="ring.number">
          <ellipse
            v-if="positions.length > 0"
            :cx="ring.x"
            :cy="ring.y"
            :rx="ring.a"
            :ry="ring.b"
            class="position"
            :stroke-width="hairline * 2"
          />
          <ellipse
            :cx="ring.x"
            :cy="ring.y"
            :rx="ring.airA"
            :ry="ring.airB"
            class="air-circle"
            :stroke-dasharray="`${stripe} ${stripe / 2}`"
          />
        </g>
        <path :d="`M0 ${-stripe}V${stripe}M${-stripe} 0H${stripe}`" class="air-circle" />
      </g>
      <PenOverlay
        v-if="show === 'stitches' && shownPart && !isBack && (!only || isPenOut)"
        :planned="shownPart"
        :stroke="pen.points.value"
        :dot-mm="4 / view.pxPerMm"
      />
      <TransferOverlay v-if="show === 'lines'" :hairline="hairline" />
      <PartsOverlay :show="show" :outlined="!only" :transform="isBack ? 'scale(-1 1)' : undefined" />
      <DetailMarks v-if="show === 'drawing' || show === 'fit'" :hairline="hairline" />
      <g v-if="show === 'fit'">
        <g
          v-for="ring in positions.length > 0 ? rings : []"
          :key="ring.number"
          class="grip"
          :data-position="ring.number - 1"
          :transform="`translate(${ring.x} ${ring.y})`"
        >
          <circle :r="stripe * 1.5" />
          <text text-anchor="middle" dominant-baseline="central" :font-size="stripe * 1.7">{{ ring.number }}</text>
        </g>
      </g>
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
.position {
  stroke: var(--madder);
}
.drawn {
  fill: none;
  stroke: #1d58b8;
  stroke-width: 2px;
  vector-effect: non-scaling-stroke;
}
.grip {
  cursor: move;
}
.grip circle {
  fill: var(--paper);
  stroke: var(--madder);
  stroke-width: 2px;
  vector-effect: non-scaling-stroke;
}
.grip text {
  font-family: var(--serif);
  fill: var(--ink);
  pointer-events: none;
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
