<script setup lang="ts">
import type { Workings } from '@junctura/core/advice';
import { innerDiameterMm } from '@junctura/core/materials';
import type { Piece } from '@junctura/core/piece';
import { onBeforeUnmount, onMounted, ref } from 'vue';
import { paintPicture } from '../picture/paintPicture.ts';
import { sceneOf } from '../picture/scene.ts';
import { viewOf } from '../picture/view.ts';
import { useSettings } from '../stores/settings.ts';
import { PlannerClient } from '../workers/plannerClient.ts';
import HoopRing from './HoopRing.vue';

/** A piece in its hoop, small, worked by its own stitches; where only its colours differ from a piece that is planned, in that one's. */
const props = defineProps<{ piece: Piece; workings?: Workings | null }>();

const canvas = ref<HTMLCanvasElement | null>(null);
const innerMm = props.piece.hoop ? innerDiameterMm(props.piece.hoop.nominalMm) : null;
const reachMm = ref(innerMm === null ? 60 : (innerMm / 2) * 1.17);
const settings = useSettings();
let planner: PlannerClient | null = null;
let frame = 0;

onMounted(async () => {
  const workings = props.workings ?? (await planned());
  const target = canvas.value;
  if (!workings || !target) return;
  const { circle } = workings.plan.design;
  if (innerMm === null && circle) reachMm.value = Math.hypot(circle.x, circle.y) + circle.r + 12;
  const pixels = Math.round(target.clientWidth * (window.devicePixelRatio || 1));
  target.width = target.height = pixels;
  const size = { width: pixels, height: pixels };
  const strokes = paintPicture(
    target.getContext('2d')!,
    sceneOf(props.piece, workings),
    viewOf(reachMm.value, size),
    size,
    'front',
  );
  const paintOn = (): void => {
    for (let i = 0; i < 20; i++) if (strokes.next().done) return void (target.dataset['painted'] = '1');
    frame = requestAnimationFrame(paintOn);
  };
  paintOn();
});
async function planned(): Promise<Workings | null> {
  planner = new PlannerClient();
  const answer = await planner.plan(props.piece, settings.hand);
  planner.close();
  planner = null;
  return answer?.ok ? answer.value : null;
}
onBeforeUnmount(() => {
  planner?.close();
  cancelAnimationFrame(frame);
});
</script>

<template>
  <div class="thumbnail">
    <canvas ref="canvas" aria-hidden="true"></canvas>
    <svg :viewBox="`${-reachMm} ${-reachMm} ${reachMm * 2} ${reachMm * 2}`" aria-hidden="true">
      <HoopRing :inner-mm="innerMm" :reach-mm="reachMm" />
    </svg>
  </div>
</template>

<style scoped>
.thumbnail {
  position: relative;
  aspect-ratio: 1;
  --linen-deep: var(--linen);
}
canvas,
svg {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
}
</style>
