<script setup lang="ts">
import { markOf } from '@junctura/core/materials';
import { tackingFor } from '@junctura/core/order';
import { computed } from 'vue';
import { useBench } from '../stores/bench.ts';

/** Where a film is tacked to the cloth. */
defineProps<{ hairline: number }>();
const bench = useBench();
const tacks = computed(() => {
  if (markOf(bench.piece.mark)?.id !== 'film' || !bench.workings) return null;
  return tackingFor(bench.workings.plan);
});
const STITCH_MM = 4;
</script>

<template>
  <g v-if="tacks" class="tacks" :stroke-width="hairline * 2">
    <path
      v-for="([x, y], i) in [tacks.middle, ...tacks.round]"
      :key="i"
      :d="`M${x - STITCH_MM / 2} ${y}h${STITCH_MM}`"
      :transform="`rotate(${i * 37} ${x} ${y})`"
    />
  </g>
</template>

<style scoped>
.tacks {
  stroke: var(--madder);
  stroke-linecap: round;
  pointer-events: none;
}
</style>
