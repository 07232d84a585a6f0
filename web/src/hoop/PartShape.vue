<script setup lang="ts">
import type { PlannedPart } from '@junctura/core/work';
import { computed } from 'vue';
import { useOpenedPiece } from '../session/openedPiece.ts';
import { partPath } from './usePartPaths.ts';

/** The shape of a part in its colour on its cloth, as small as a row of a list. */
const props = defineProps<{ planned: PlannedPart; hex: string }>();
const opened = useOpenedPiece();
/** What is smaller than this is not blown up further, mm. */
const LEAST_MM = 2;
const ROOM = 1.3;
const view = computed(() => {
  const { minX, minY, maxX, maxY } = props.planned.placed.box ?? { minX: 0, minY: 0, maxX: 1, maxY: 1 };
  const size = Math.max(maxX - minX, maxY - minY, LEAST_MM) * ROOM;
  return `${(minX + maxX - size) / 2} ${(minY + maxY - size) / 2} ${size} ${size}`;
});
</script>

<template>
  <svg :viewBox="view" class="shape" :style="{ background: opened.piece.cloth.colour }" aria-hidden="true">
    <path
      :d="partPath(planned.placed)"
      fill-rule="evenodd"
      :fill="planned.part.kind === 'line' ? 'none' : hex"
      :stroke="hex"
    />
  </svg>
</template>

<style scoped>
.shape {
  width: 34px;
  height: 34px;
  flex: none;
  border-radius: 5px;
}
path {
  stroke-width: 1.6px;
  vector-effect: non-scaling-stroke;
}
</style>
