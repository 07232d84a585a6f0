<script setup lang="ts">
import { hoopAboutAll, pictureOnCloth } from '@junctura/core/drawing';
import { ARMS_LENGTH_BLUR_MM, seenAs } from '@junctura/core/colour';
import { outerHalvesMm } from '@junctura/core/materials';
import { boxOf, pathData } from '@junctura/core/geometry';
import { formatLength } from '@junctura/core/measure';
import { useElementSize } from '@vueuse/core';
import { NButton } from 'naive-ui';
import { computed, markRaw, ref, shallowRef, watch } from 'vue';
import { useHoopCamera } from './useHoopCamera.ts';
import { useKeyCross } from './useKeyCross.ts';
import { useHoopPointer, type HoopShows } from './useHoopPointer.ts';
import { usePainting } from '../picture/usePainting.ts';
import { DRAWING_PENS, PEN_WORDS, usePen } from './usePen.ts';
import { DAYLIGHT, LAMPLIGHT } from '../picture/light.ts';
import type { Side } from '../picture/paintPicture.ts';
import { hoopInSightMm } from '../picture/ringShape.ts';
import { sceneOf, type Scene } from '../picture/scene.ts';
import { paintedPiece } from './paintedPiece.ts';
import { useReadyPicture } from './useReadyPicture.ts';
import { useOpenedPiece } from '../session/openedPiece.ts';
import type { finishedScene } from '../picture/paintFinished.ts';
import { useFinishing } from '../session/finishing.ts';
import { useWorkings } from '../session/workings.ts';
import { useWorkSoFar } from '../session/workSoFar.ts';
import { useSelection } from '../session/selection.ts';
import { useSettings } from '../session/settings.ts';
import HoopRing from './HoopRing.vue';
import PartsOverlay from './PartsOverlay.vue';
import { comesLater } from '../ui/comesLater.ts';

/** What measures shapes is loaded when it is shown. */
const TransferOverlay = comesLater(() => import('./TransferOverlay.vue'));
const PictureOver = comesLater(() => import('./PictureOver.vue'));
const CoarsePicture = comesLater(() => import('./CoarsePicture.vue'));
const FitOverlay = comesLater(() => import('./FitOverlay.vue'));
const DetailMarks = comesLater(() => import('./DetailMarks.vue'));
const GrowingPicture = comesLater(() => import('./GrowingPicture.vue'));
const ChalkOverlay = comesLater(() => import('./ChalkOverlay.vue'));
const PenOverlay = comesLater(() => import('./PenOverlay.vue'));

const props = defineProps<{ show: HoopShows; only?: ReadonlySet<string> | null }>();

const opened = useOpenedPiece();

const workings = useWorkings();
const work = useWorkSoFar();

const selection = useSelection();
const settings = useSettings();
const frame = ref<HTMLElement | null>(null);
const canvas = ref<HTMLCanvasElement | null>(null);
const { width, height } = useElementSize(frame);
const size = computed(() => ({ width: width.value, height: height.value }));
const side = ref<Side>('front');
/** What is seen about the finished thing, mm. */
const FINISHED_ROOM_MM = 14;

/** The piece as it will be, once its finishing is worked out and the painter of finished things is there. */
const isFinished = computed(() => props.show === 'finished');
const finish = useFinishing();
const finished = computed(() => (isFinished.value ? (finish.plan?.look ?? null) : null));
const finishing = shallowRef<typeof finishedScene | null>(null);
watch(
  isFinished,
  async (now) => {
    if (!now) return;
    finish.want();
    finishing.value ??= markRaw((await import('../picture/paintFinished.ts')).finishedScene);
  },
  { immediate: true },
);

const plan = computed(() => workings.current?.plan ?? null);
/** Worked in several positions, the cloth lies free and the hoop is shown where it will be set. */
const positions = computed(() =>
  opened.piece.hoop && opened.piece.positions.length > 1 ? opened.piece.positions : [],
);
const hoop = computed(() => hoopAboutAll(opened.piece));
/** What there is to see of the finished thing; null: it is not shown, or all of the cloth is. */
const finishedBox = computed(() => {
  if (!finished.value || finished.value.form.length === 0 || finished.value.isHooped) return null;
  const { form, frame, lines } = finished.value;
  const fringe = lines.reduce((most, { kind, widthMm }) => Math.max(most, kind === 'fringe' ? widthMm : 0), 0);
  const box = boxOf([...form, ...(frame?.form ?? []), ...lines.map(({ line }) => line.points)])!;
  return { minX: box.minX - fringe, minY: box.minY - fringe, maxX: box.maxX + fringe, maxY: box.maxY + fringe };
});
const ORIGIN = [0, 0] as const;
const middle = computed(() => {
  const box = finishedBox.value;
  return box ? ([(box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2] as const) : ORIGIN;
});
/** How far out there is something to see, mm. */
const reachMm = computed(() => {
  if (finishedBox.value) {
    const { minX, minY, maxX, maxY } = finishedBox.value;
    return Math.max(maxX - minX, maxY - minY) / 2 + FINISHED_ROOM_MM;
  }
  if (hoop.value) return hoopInSightMm(hoop.value);
  if (positions.value.length > 0) {
    const [a, b] = outerHalvesMm(opened.piece.hoop!);
    return Math.max(...positions.value.map(([x, y]) => Math.max(Math.abs(x) + a, Math.abs(y) + b))) + 12;
  }
  const circle = plan.value?.design.circle;
  return circle ? Math.hypot(circle.x, circle.y) + circle.r + 15 : 60;
});

const camera = useHoopCamera(frame, size, reachMm, middle);
const { view, viewBox, hairline, stripe, ruleMm, isWhole, isTrueSize, showAll, showTrueSize, zoom, wheel } = camera;

/** The piece is shown growing in the order of work, or as it stands by what was noted. */
const isGrowing = computed(() => props.show === 'order' || props.show === 'work');
const steps = computed(() => (props.show === 'work' ? work.steps : (workings.current?.plan.order ?? [])));
const place = computed(() => (props.show === 'work' ? work.place : Math.min(selection.place, steps.value.length)));

const piece = paintedPiece(opened, workings);
const scene = computed<Scene | null>(() => {
  if (!workings.current || isGrowing.value) return null;
  if (isFinished.value) {
    return finished.value && finishing.value ? finishing.value(piece.value, workings.current, finished.value) : null;
  }
  const only = props.show === 'stitches' ? (props.only ?? null) : new Set<string>();
  const { seeing } = selection;
  const by =
    seeing === 'daylight' || seeing === 'armsLength'
      ? undefined
      : { seen: (hex: string) => seenAs(hex, seeing), light: seeing === 'lamp' ? LAMPLIGHT : DAYLIGHT };
  return sceneOf(piece.value, workings.current, only, props.only ? selection.colourPicked : null, by, workings.memory);
});
/** At arm’s length the eye blurs what is fine. */
const blur = computed(() =>
  selection.seeing === 'armsLength' ? `blur(${(ARMS_LENGTH_BLUR_MM * view.value.pxPerMm).toFixed(2)}px)` : undefined,
);
const paintedSide = computed<Side>(() => (props.show === 'stitches' ? side.value : 'front'));
const ready = useReadyPicture(() => workings.current === null && props.show === 'stitches');
usePainting({ canvas, scene, view, side: paintedSide, size, ready });

const isBack = computed(() => paintedSide.value === 'back');
/** The picture to draw over, where the drawing is looked at. */
const underlay = computed(() => {
  const { underlay: picture } = opened.piece.drawing;
  return props.show === 'drawing' && picture && picture.strength > 0 ? picture : null;
});
const underlayTransform = computed(() => {
  return `matrix(${pictureOnCloth(opened.piece.placement, underlay.value!).join(' ')})`;
});

/** With the pen out a drag draws, in place of moving the view; from behind nothing is drawn. */
const pen = usePen(() => view.value.pxPerMm);
const isPenOut = computed(() => {
  if (selection.pen === null) return false;
  return DRAWING_PENS.has(selection.pen.draws) ? props.show === 'drawing' : props.show === 'stitches' && !isBack.value;
});
const shownPart = computed(() => {
  const planned = workings.plannedOf(selection.picked[0]);
  return planned?.part.kind === 'spot' ? null : planned;
});
const drawnPath = computed(() =>
  isPenOut.value && props.show === 'drawing' && pen.points.value.length >= 4
    ? pathData({ points: Float64Array.from(pen.points.value), closed: false }, 2)
    : '',
);
const liePath = computed(() => {
  const lines = selection.lie ?? new Float32Array(0);
  let path = '';
  for (let i = 0; i < lines.length; i += 4) {
    path += `M${lines[i]!.toFixed(2)} ${lines[i + 1]!.toFixed(2)}L${lines[i + 2]!.toFixed(2)} ${lines[i + 3]!.toFixed(2)}`;
  }
  return path;
});
const cross = useKeyCross(camera, pen);
// A pen that a button brought out is led by keys at once: the focus goes with it.
watch(isPenOut, (isOut) => isOut && document.activeElement?.tagName === 'BUTTON' && frame.value?.focus());
const { press, move, release, cancel, key } = useHoopPointer(camera, pen, cross, isPenOut, () => props.show);
const crossPath = computed(() => {
  const [at, arm] = [isPenOut.value ? cross.at.value : null, stripe.value * 1.2];
  return at ? `M${at[0] - arm} ${at[1]}h${2 * arm}M${at[0]} ${at[1] - arm}v${2 * arm}` : '';
});

defineExpose({ showAll, showTrueSize, turnOver: () => (side.value = side.value === 'front' ? 'back' : 'front') });
</script>

<template>
  <section
    ref="frame"
    class="hoop-view"
    :class="{ drawing: isPenOut }"
    tabindex="0"
    :aria-label="
      isPenOut
        ? 'The hoop, with the pen out: arrow keys move the cross, space sets a place, Enter ends the stroke'
        : 'The hoop: arrow keys move, plus and minus enlarge, 0 shows all, 1 shows true size'
    "
    @pointerdown="press"
    @pointermove="move"
    @pointerup="release"
    @pointercancel="cancel"
    @wheel.prevent="wheel"
    @keydown="key"
  >
    <GrowingPicture v-if="isGrowing" :steps="steps" :place="place" :view="view" :size="size" />
    <canvas
      v-show="!isGrowing"
      ref="canvas"
      class="picture"
      :data-show="show"
      :style="{ filter: blur }"
      aria-hidden="true"
    ></canvas>
    <CoarsePicture
      v-if="workings.coarse.length > 0 && show === 'stitches' && !only && !isBack"
      :parts="workings.coarse"
      :view="view"
      :size="size"
    />
    <PictureOver v-if="show === 'stitches' && !isBack && selection.looking !== 'stitches'" :view="view" :size="size" />
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
      <HoopRing
        v-if="!isFinished || finished?.isHooped"
        :hoop="hoop"
        :cloth="isFinished ? undefined : opened.piece.cloth.colour"
        :reach-mm="reachMm"
        :around="finished?.ground.colour"
      />
      <template v-if="finished?.isHooped">
        <path v-for="(cord, i) in finished.lines" :key="i" :d="pathData(cord.line, 2)" class="cord" />
      </template>
      <path v-if="drawnPath" :d="drawnPath" class="drawn" />
      <PenOverlay
        v-if="show === 'stitches' && shownPart && !isBack && (!only || isPenOut)"
        :planned="shownPart"
        :stroke="pen.points.value"
        :dot-mm="4 / view.pxPerMm"
      />
      <path v-if="liePath && show === 'stitches' && !isBack" :d="liePath" class="lie" :stroke-width="hairline * 1.6" />
      <path v-if="crossPath" :d="crossPath" class="drawn" />
      <TransferOverlay v-if="show === 'lines'" :hairline="hairline" />
      <ChalkOverlay v-if="isGrowing" :steps="steps" :place="place" />
      <PartsOverlay v-if="!isFinished" :show="show" :outlined="!only" :transform="isBack ? 'scale(-1 1)' : undefined" />
      <DetailMarks v-if="show === 'drawing' || show === 'fit'" :hairline="hairline" />
      <FitOverlay v-if="show === 'fit'" :hairline="hairline" :stripe="stripe" />
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
      <NButton size="small" aria-label="Zoom out" @click="zoom(1 / 1.5)">−</NButton>
      <NButton size="small" aria-label="Zoom in" @click="zoom(1.5)">+</NButton>
    </div>
    <p v-if="isPenOut && selection.pen" class="side-note pen-note" role="status" @pointerdown.stop @pointerup.stop>
      {{ PEN_WORDS[selection.pen.draws] }}
      <NButton size="tiny" type="primary" @click="selection.pen = null">Done</NButton>
    </p>
    <p v-if="isBack" class="side-note">The back, as you see it with the hoop turned over</p>
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
.cord {
  fill: none;
  stroke: #8a6236;
  stroke-width: 1.6;
  stroke-linecap: round;
  stroke-linejoin: round;
}
.lie {
  fill: none;
  stroke: #fff;
  stroke-linecap: round;
  filter: drop-shadow(0 0 0.4px #000);
  pointer-events: none;
}
.drawn {
  fill: none;
  stroke: #1d58b8;
  stroke-width: 2px;
  vector-effect: non-scaling-stroke;
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
