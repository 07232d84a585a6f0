<script setup lang="ts">
import type { CoarsePart } from '@junctura/core/work';
import { ref, watch } from 'vue';
import { paintCoarse } from '../picture/paintCoarse.ts';
import type { View } from '../picture/view.ts';

/** What is being painted from a picture, in broad strokes, until its stitches are worked. */
const props = defineProps<{ parts: readonly CoarsePart[]; view: View; size: { width: number; height: number } }>();
const canvas = ref<HTMLCanvasElement | null>(null);

watch(
  [canvas, () => props.parts, () => props.view, () => props.size],
  () => {
    if (!canvas.value) return;
    const ratio = window.devicePixelRatio || 1;
    const pixels = { width: Math.round(props.size.width * ratio), height: Math.round(props.size.height * ratio) };
    Object.assign(canvas.value, pixels);
    const brush = canvas.value.getContext('2d')!;
    const view = { ...props.view, pxPerMm: props.view.pxPerMm * ratio };
    for (const part of props.parts) paintCoarse(brush, part, part.hexes, view, pixels);
  },
  { flush: 'post', immediate: true },
);
</script>

<template>
  <canvas ref="canvas" class="coarse" data-test="coarse" aria-hidden="true"></canvas>
</template>

<style scoped>
.coarse {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
  pointer-events: none;
}
</style>
