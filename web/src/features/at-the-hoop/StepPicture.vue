<script setup lang="ts">
import { hoopAboutAll } from '@junctura/core/drawing';
import { innerDiameterMm } from '@junctura/core/materials';
import { useElementSize } from '@vueuse/core';
import { computed, ref, useId, watch } from 'vue';
import ChalkOverlay from '../../hoop/ChalkOverlay.vue';
import GrowingPicture from '../../hoop/GrowingPicture.vue';
import HoopRing from '../../hoop/HoopRing.vue';
import { useHoopCamera } from '../../hoop/useHoopCamera.ts';
import { useOpenedPiece } from '../../session/openedPiece.ts';
import { partPath } from '../../hoop/usePartPaths.ts';
import { pathData, type Polyline } from '@junctura/core/geometry';
import { useWorkings } from '../../session/workings.ts';
import { useWorkSoFar } from '../../session/workSoFar.ts';
import { useStepNote } from './stepNote.ts';
import { twoFingerTurn } from '../../ui/twoFingerTurn.ts';

/** The hoop drawn close about the present step; a press shows all of it. It is turned as the hoop is turned. */
const props = defineProps<{ turnDeg: number }>();
const emit = defineEmits<{ turn: [byDeg: number] }>();
const opened = useOpenedPiece();
const workings = useWorkings();
const work = useWorkSoFar();
const stepNote = useStepNote();
const frame = ref<HTMLElement | null>(null);
const { width, height } = useElementSize(frame);
const size = computed(() => ({ width: width.value, height: height.value }));

const hoop = computed(() => hoopAboutAll(opened.piece));
const reachMm = computed(() => {
  if (hoop.value) return (innerDiameterMm(hoop.value.nominalMm) / 2) * 1.1;
  const circle = work.plan?.design.circle;
  return circle ? Math.hypot(circle.x, circle.y) + circle.r + 10 : 60;
});
const { view, viewBox, showAll } = useHoopCamera(frame, size, reachMm);

const maskId = useId();

/** The least of the cloth that is seen about a part, mm, however small it is. */
const LEAST_MM = 26;
const isWhole = ref(false);
/** Two fingers turn the picture; the press that ends a turn shows nothing else. */
const fingers = twoFingerTurn();
let wasTurned = false;
function press(event: PointerEvent): void {
  fingers.down(event);
  wasTurned = false;
}
function move(event: PointerEvent): void {
  const byDeg = fingers.move(event);
  if (byDeg === 0) return;
  wasTurned = true;
  emit('turn', byDeg);
}
function click(): void {
  if (!wasTurned) isWhole.value = !isWhole.value;
  wasTurned = false;
}
/** Dots further apart than this are seen one by one, from the first on, mm. */
const SCATTERED_MM = 50;
const DOT_AIR_MM = 12;
/** What the close-up shows: the part, or where the work begins among scattered dots. */
const closeBox = computed(() => {
  const planned = workings.plannedOf(work.present?.part);
  const box = planned?.placed.box;
  const start = stepNote.present?.marks?.start;
  if (!box || planned.placed.kind !== 'spot' || !start) return box;
  const isScattered = Math.max(box.maxX - box.minX, box.maxY - box.minY) > SCATTERED_MM;
  const [x, y] = start;
  return isScattered ? { minX: x - DOT_AIR_MM, maxX: x + DOT_AIR_MM, minY: y - DOT_AIR_MM, maxY: y + DOT_AIR_MM } : box;
});

/** The present part, clear in a veil over what lies about it. */
const shown = computed(() => {
  const planned = workings.plannedOf(work.present?.part);
  return planned ? partPath(planned.placed) : '';
});
const marks = computed(() => (isWhole.value ? null : (stepNote.present?.marks ?? null)));
const lineOf = ({ points, closed }: Polyline): string => pathData({ points, closed }, 2);

function show(): void {
  const box = closeBox.value;
  const { width: w, height: h } = size.value;
  if (isWhole.value || !box || w < 1 || h < 1) return showAll();
  const [across, upright] = [
    Math.max(LEAST_MM, (box.maxX - box.minX) * 1.5),
    Math.max(LEAST_MM, (box.maxY - box.minY) * 1.5),
  ];
  view.value = {
    centreX: (box.minX + box.maxX) / 2,
    centreY: (box.minY + box.maxY) / 2,
    pxPerMm: Math.min(w / across, h / upright),
  };
}
watch([() => work.present?.key, size, isWhole, () => workings.current], show, { flush: 'post', immediate: true });
</script>

<template>
  <button
    ref="frame"
    type="button"
    class="frame"
    :aria-label="isWhole ? 'The whole hoop: press to see this step close up' : 'This step: press to see the whole hoop'"
    @click="click"
    @pointerdown="press"
    @pointermove="move"
    @pointerup="fingers.up"
    @pointercancel="fingers.up"
  >
    <span class="turned" :style="{ transform: `rotate(${props.turnDeg}deg)` }">
      <GrowingPicture :view="view" :size="size" :steps="work.steps" :place="work.place" />
      <svg :viewBox="viewBox" aria-hidden="true">
        <HoopRing :hoop="hoop" :reach-mm="reachMm" :cloth="opened.piece.cloth.colour" />
        <template v-if="!isWhole && shown">
          <mask :id="maskId" maskUnits="userSpaceOnUse" x="-2000" y="-2000" width="4000" height="4000">
            <rect x="-2000" y="-2000" width="4000" height="4000" fill="#fff" />
            <path :d="shown" class="hole" />
          </mask>
          <rect
            x="-2000"
            y="-2000"
            width="4000"
            height="4000"
            :fill="opened.piece.cloth.colour"
            class="veil"
            :mask="`url(#${maskId})`"
          />
        </template>
        <ChalkOverlay :steps="work.steps" :place="work.place" />
        <g v-if="marks" class="marks" data-test="step-marks">
          <template v-for="(border, i) in marks.borders" :key="i">
            <path :d="lineOf(border)" class="below" />
            <path :d="lineOf(border)" class="border" />
          </template>
          <template v-for="(way, i) in marks.way ?? []" :key="`way-${i}`">
            <path :d="lineOf(way)" class="below" />
            <path :d="lineOf(way)" class="way" />
          </template>
          <circle :cx="marks.start[0]" :cy="marks.start[1]" :r="5 / view.pxPerMm" class="start" />
        </g>
      </svg>
    </span>
  </button>
</template>

<style scoped>
.frame {
  --halo: #1d58b8;
  position: relative;
  overflow: hidden;
  padding: 0;
  border: 0;
  background: var(--linen-deep);
  min-height: 0;
  touch-action: none;
  width: 100%;
  height: 100%;
}
.turned,
svg {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
}
.hole {
  fill: #000;
  stroke: #000;
  stroke-width: 2;
}
.veil {
  opacity: 0.5;
}
.marks path {
  fill: none;
  stroke-linecap: round;
  stroke-linejoin: round;
  vector-effect: non-scaling-stroke;
}
.marks .below {
  stroke: #fff;
  stroke-width: 5px;
}
.marks .border {
  stroke: #202c4b;
  stroke-width: 1.6px;
  stroke-dasharray: 6 4;
}
.marks .way {
  stroke: #202c4b;
  stroke-width: 2.6px;
}
.start {
  fill: #202c4b;
  stroke: #fff;
  stroke-width: 2px;
  vector-effect: non-scaling-stroke;
}
</style>
