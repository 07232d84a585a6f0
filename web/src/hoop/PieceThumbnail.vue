<script setup lang="ts">
import { hoopAboutAll } from '@junctura/core/drawing';
import type { Piece } from '@junctura/core/piece';
import { onBeforeUnmount, onMounted, ref } from 'vue';
import { stampOf, ThumbnailStore } from '../keeping/thumbnailStore.ts';
import { hoopInSightMm } from '../picture/ringShape.ts';
import { useSettings } from '../session/settings.ts';
import { WORKER_ADDRESS } from '../workers/workerClient.ts';
import { pictures } from '../workers/workerPool.ts';
import HoopRing from './HoopRing.vue';

/**
 * A piece in its hoop, small, worked by its own stitches: planned and painted in a worker, but where its picture is had ready.
 */
const props = defineProps<{ piece: Piece; ready?: string | null }>();

const thumbnails = new ThumbnailStore();

const canvas = ref<HTMLCanvasElement | null>(null);
const hoop = hoopAboutAll(props.piece);
const reachMm = ref(hoop ? hoopInSightMm(hoop) : 60);
const settings = useSettings();
const gone = new AbortController();

onMounted(async () => {
  const pixels = Math.round((canvas.value?.clientWidth ?? 0) * (window.devicePixelRatio || 1));
  if (pixels < 1) return;
  const { piece } = props;
  const ready = props.ready ? await pictureAt(props.ready) : null;
  if (ready) return show(ready, reachMm.value, pixels);
  const { factors } = settings;
  const stamp = stampOf(piece, factors, pixels, WORKER_ADDRESS);
  const kept = await thumbnails.find(piece.id, stamp);
  if (kept) return show(await createImageBitmap(kept.picture), kept.reachMm, pixels);
  const answer = await pictures.ask('thumbnail', { piece, factors, pixels }, { signal: gone.signal });
  if (!answer?.ok) return;
  const { picture, reachMm: reach } = answer.value;
  show(picture, reach, pixels)?.toBlob((blob) => {
    if (blob) void thumbnails.keep({ pieceId: piece.id, stamp, picture: blob, reachMm: reach });
  });
});

/** A picture that came with the application; null where it can't be had, and is painted. */
async function pictureAt(address: string): Promise<ImageBitmap | null> {
  try {
    return await createImageBitmap(await (await fetch(address, { signal: gone.signal })).blob());
  } catch {
    return null;
  }
}

function show(picture: ImageBitmap, reach: number, pixels: number): HTMLCanvasElement | null {
  const target = canvas.value;
  if (target) {
    reachMm.value = reach;
    target.width = target.height = pixels;
    target.getContext('2d')!.drawImage(picture, 0, 0, pixels, pixels);
    target.dataset['painted'] = '1';
  }
  picture.close();
  return target;
}
onBeforeUnmount(() => gone.abort());
</script>

<template>
  <div class="thumbnail">
    <canvas ref="canvas" aria-hidden="true"></canvas>
    <svg :viewBox="`${-reachMm} ${-reachMm} ${reachMm * 2} ${reachMm * 2}`" aria-hidden="true">
      <HoopRing :hoop="hoop" :reach-mm="reachMm" />
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
