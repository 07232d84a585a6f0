<script setup lang="ts">
import type { Step } from '@junctura/core/order';
import { computed, ref, toRef } from 'vue';
import { growingScene } from '../picture/scene.ts';
import { useGrowing } from '../picture/useGrowing.ts';
import type { Size, View } from '../picture/view.ts';
import { useWorkings } from '../session/workings.ts';

/** The piece as it stands at a place among steps that are worked one after the other. */
const props = defineProps<{ view: View; size: Size; steps: readonly Step[]; place: number }>();

const workings = useWorkings();
const canvas = ref<HTMLCanvasElement | null>(null);
const scene = computed(() =>
  workings.current ? growingScene(workings.piece, workings.current, props.steps, workings.memory) : null,
);
useGrowing({
  canvas,
  scene,
  place: toRef(props, 'place'),
  view: toRef(props, 'view'),
  size: toRef(props, 'size'),
});
</script>

<template>
  <canvas ref="canvas" class="picture" data-show="order" aria-hidden="true"></canvas>
</template>

<style scoped>
.picture {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
  transform-origin: center;
}
</style>
