<script setup lang="ts">
import { isAccepted } from '@junctura/core/advice';
import { computed } from 'vue';
import { useOpenedPiece } from '../session/openedPiece.ts';
import { useWorkings } from '../session/workings.ts';

/** Rings on the drawing where detail is lost at this size: what merges, and what is too small for its thread. */
const props = defineProps<{ hairline: number }>();
const opened = useOpenedPiece();
const workings = useWorkings();

const places = computed<[x: number, y: number][]>(() => {
  if (!workings.current) return [];
  const { plan, findings, narrow } = workings.current;
  const open = findings.filter((finding) => !isAccepted(opened.piece, finding));
  const merging = new Set(open.filter(({ id }) => id === 'line-too-close').map(({ part }) => part));
  const small = new Set(open.filter(({ id }) => id === 'part-too-small').map(({ part }) => part));
  return [
    ...narrow.filter(({ part }) => merging.has(part)).map(({ x, y }): [number, number] => [x, y]),
    ...plan.parts
      .filter(({ part, placed }) => small.has(part.id) && placed.box)
      .map(({ placed: { box } }): [number, number] => [(box!.minX + box!.maxX) / 2, (box!.minY + box!.maxY) / 2]),
  ];
});
const radius = computed(() => props.hairline * 8);
</script>

<template>
  <g class="marks" data-test="detail-marks" :stroke-width="hairline * 1.8">
    <g v-for="([x, y], i) in places" :key="i">
      <circle :cx="x" :cy="y" :r="radius" class="halo" :stroke-width="hairline * 4.5" />
      <circle :cx="x" :cy="y" :r="radius" />
    </g>
  </g>
</template>

<style scoped>
.marks {
  fill: none;
  stroke: #9b2c31;
  pointer-events: none;
}
.halo {
  stroke: rgb(255 255 255 / 80%);
}
</style>
