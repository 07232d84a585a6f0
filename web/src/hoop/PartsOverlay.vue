<script setup lang="ts">
import type { PlannedPart } from '@junctura/core/work';
import { colourName } from '@junctura/core/piece';
import type { HoopShows } from './useHoopPointer.ts';
import { computed } from 'vue';
import { partPath } from './usePartPaths.ts';
import { useOpenedPiece } from '../session/openedPiece.ts';
import { useWorkings } from '../session/workings.ts';
import { useSelection } from '../session/selection.ts';

/**
 * The parts over the cloth, in mm: drawn, or there only to be pressed. Nothing here depends on the view, so moving it
 * touches none of them.
 */
const props = defineProps<{ show: HoopShows; outlined: boolean }>();

const opened = useOpenedPiece();

const workings = useWorkings();

const selection = useSelection();
const parts = computed<readonly PlannedPart[]>(() => workings.current?.plan.parts ?? []);
const hexOf = computed(() => new Map(opened.piece.palette.map((colour) => [colour.id, colourName(colour).hex])));
const isDrawn = computed(() => props.show === 'drawing' || props.show === 'fit');
const picked = computed(() =>
  props.outlined ? parts.value.filter(({ part }) => selection.picked.includes(part.id)) : [],
);

/** A thin line is still to be seen on the drawing. */
const THINNEST_MM = 0.35;
function strokeMm({ part }: PlannedPart): number | undefined {
  if (!isDrawn.value || part.kind !== 'line') return undefined;
  return Math.max(THINNEST_MM, (part.strokeMm ?? 0) * opened.piece.placement.scale);
}
</script>

<template>
  <g class="parts" :class="show === 'order' || show === 'work' ? 'stitches' : show">
    <path
      v-for="planned in parts"
      :key="planned.part.id"
      :d="partPath(planned.placed)"
      :data-part="planned.part.id"
      :class="[planned.part.kind, { locked: planned.part.locked }]"
      :fill="isDrawn && planned.part.kind !== 'line' ? hexOf.get(planned.part.colour) : 'none'"
      :stroke="isDrawn ? hexOf.get(planned.part.colour) : undefined"
      :stroke-width="strokeMm(planned)"
    />
    <template v-for="planned in picked" :key="`picked-${planned.part.id}`">
      <path :d="partPath(planned.placed)" class="picked glow" />
      <path :d="partPath(planned.placed)" class="picked" />
    </template>
  </g>
</template>

<style scoped>
path {
  cursor: pointer;
  stroke-linejoin: round;
  stroke-linecap: round;
  fill-rule: evenodd;
}
.area,
.spot,
.stitches path,
.lines path {
  stroke-width: 1.2px;
  vector-effect: non-scaling-stroke;
}
path.locked,
.stitches path.locked {
  pointer-events: none;
}
.drawing .area,
.fit .area {
  fill-opacity: 0.82;
}
.stitches path {
  stroke: transparent;
  stroke-width: 10px;
  pointer-events: all;
}
.stitches .line {
  pointer-events: stroke;
}
.lines path {
  stroke: #2a2a35;
  pointer-events: none;
}
.parts .picked {
  fill: none;
  stroke: var(--halo);
  stroke-width: 2px;
  vector-effect: non-scaling-stroke;
  pointer-events: none;
}
.parts .picked.glow {
  stroke: #ffffff;
  stroke-width: 5px;
  opacity: 0.85;
}
</style>
