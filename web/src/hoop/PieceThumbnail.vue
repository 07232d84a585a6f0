<script setup lang="ts">
import { innerDiameterMm } from '@junctura/core/materials';
import type { Piece } from '@junctura/core/piece';
import { onBeforeUnmount, onMounted, ref } from 'vue';
import { useSettings } from '../session/settings.ts';
import { pictures } from '../workers/workerPool.ts';
import HoopRing from './HoopRing.vue';

/** A piece in its hoop, small, worked by its own stitches: planned and painted in a worker. */
const props = defineProps<{ piece: Piece }>();

const canvas = ref<HTMLCanvasElement | null>(null);
const innerMm = props.piece.hoop ? innerDiameterMm(props.piece.hoop.nominalMm) : null;
const reachMm = ref(innerMm === null ? 60 : (innerMm / 2) * 1.17);
const settings = useSettings();
const gone = new AbortController();

onMounted(async () => {
  const pixels = Math.round((canvas.value?.clientWidth ?? 0) * (window.devicePixelRatio || 1));
  if (pixels < 1) return;
  const { piece } = props;
  const answer = await pictures.ask('thumbnail', { piece, factors: settings.factors, pixels }, { signal: gone.signal });
  const target = canvas.value;
  if (!answer?.ok || !target) return;
  reachMm.value = answer.value.reachMm;
  target.width = target.height = pixels;
  target.getContext('2d')!.drawImage(answer.value.picture, 0, 0);
  answer.value.picture.close();
  target.dataset['painted'] = '1';
});
onBeforeUnmount(() => gone.abort());
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
