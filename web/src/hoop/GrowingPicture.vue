<script setup lang="ts">
import { computed, ref, toRef } from 'vue';
import { growingScene } from '../picture/scene.ts';
import { useGrowing } from '../picture/useGrowing.ts';
import type { Size, View } from '../picture/view.ts';
import { useOpenedPiece } from '../session/openedPiece.ts';
import { useSelection } from '../session/selection.ts';
import { useWorkings } from '../session/workings.ts';

/** The piece as it stands at a place in the order of work. */
const props = defineProps<{ view: View; size: Size }>();

const opened = useOpenedPiece();
const workings = useWorkings();
const selection = useSelection();
const canvas = ref<HTMLCanvasElement | null>(null);
const scene = computed(() => (workings.current ? growingScene(opened.piece, workings.current) : null));
const place = computed(() => Math.min(selection.place, scene.value?.threads.length ?? 0));
useGrowing({ canvas, scene, place, view: toRef(props, 'view'), size: toRef(props, 'size') });
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
