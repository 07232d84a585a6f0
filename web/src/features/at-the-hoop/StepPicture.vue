<script setup lang="ts">
import { hoopAboutAll } from '@junctura/core/drawing';
import { innerDiameterMm } from '@junctura/core/materials';
import { useElementSize } from '@vueuse/core';
import { computed, ref, watch } from 'vue';
import ChalkOverlay from '../../hoop/ChalkOverlay.vue';
import GrowingPicture from '../../hoop/GrowingPicture.vue';
import HoopRing from '../../hoop/HoopRing.vue';
import { useHoopCamera } from '../../hoop/useHoopCamera.ts';
import { useOpenedPiece } from '../../session/openedPiece.ts';
import { useWorkings } from '../../session/workings.ts';
import { useWorkSoFar } from '../../session/workSoFar.ts';
import { twoFingerTurn } from '../../ui/twoFingerTurn.ts';

/** The hoop drawn close about the present step; a press shows all of it. It is turned as the hoop is turned. */
const props = defineProps<{ turnDeg: number }>();
const emit = defineEmits<{ turn: [byDeg: number] }>();
const opened = useOpenedPiece();
const workings = useWorkings();
const work = useWorkSoFar();
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
function show(): void {
  const box = workings.plannedOf(work.present?.part)?.placed.box;
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
        <ChalkOverlay :steps="work.steps" :place="work.place" />
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
</style>
