<script setup lang="ts">
import { tackingFor } from '@junctura/core/transfer';
import { markOf } from '@junctura/core/materials';
import { computed } from 'vue';
import { useOpenedPiece } from '../session/openedPiece.ts';
import { useWorkings } from '../session/workings.ts';

/** Where a film is tacked to the cloth. */
defineProps<{ hairline: number }>();
const opened = useOpenedPiece();
const workings = useWorkings();
const tacks = computed(() => {
  if (markOf(opened.piece.mark).id !== 'film' || !workings.current) return null;
  return tackingFor(workings.current.plan);
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
