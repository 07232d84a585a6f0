<script setup lang="ts">
import { markOf } from '@junctura/core/materials';
import type { Step } from '@junctura/core/order';
import { inkOn, marksAt } from '@junctura/core/transfer';
import { computed } from 'vue';
import { partPath } from './usePartPaths.ts';
import { useOpenedPiece } from '../session/openedPiece.ts';
import { useWorkings } from '../session/workings.ts';

/**
 * What is still to be worked: the present step firmly in chalk, what comes next in dashes, and the rest as it is marked on the cloth,
 * in the line that the chosen way draws, paler by the day where it fades.
 */
const props = defineProps<{ steps: readonly Step[]; place: number }>();
const opened = useOpenedPiece();
const workings = useWorkings();

/** How many of the coming steps are drawn in their own way. */
const NEXT = 3;
/** Running stitches through tissue: so long, and so far apart, mm. */
const TACKS = '3 2';

const way = computed(() => markOf(opened.piece.mark));
const ink = computed(() => inkOn(way.value, opened.piece.cloth.colour));
const dashes = computed(() => (way.value.id === 'tissue' ? TACKS : undefined));
const at = computed(() => Math.min(Math.floor(props.place + 1e-9), props.steps.length));
/** How much is seen of each part’s mark at the present step. */
const strengths = computed(() => {
  const plan = workings.current?.plan;
  const key = props.steps[at.value]?.key;
  if (!plan) return new Map<string, number>();
  const step = plan.order.findIndex((one) => one.key === key);
  return marksAt(workings.piece, plan, step < 0 ? plan.order.length : step);
});

const marks = computed(() => {
  const plan = workings.current?.plan;
  if (!plan) return [];
  const { parts } = plan;
  const order = props.steps;
  const begun = new Set(order.slice(0, at.value).map(({ part }) => part));
  const present = order[at.value]?.part;
  const next = new Set(order.slice(at.value + 1, at.value + 1 + NEXT).map(({ part }) => part));
  const waiting = new Set(order.slice(at.value).map(({ part }) => part));
  return parts
    .filter(({ part }) => waiting.has(part.id) && (!begun.has(part.id) || part.id === present))
    .map(({ part, placed }) => ({
      id: part.id,
      d: partPath(placed),
      kind: part.id === present ? 'present' : next.has(part.id) ? 'next' : 'later',
      strength: strengths.value.get(part.id) ?? 0,
    }));
});
</script>

<template>
  <g class="chalk">
    <template v-for="mark in marks" :key="mark.id">
      <path v-if="mark.kind === 'present'" :d="mark.d" class="ground" />
      <path
        :d="mark.d"
        class="marked"
        :data-marked="mark.id"
        :stroke="ink"
        :stroke-width="way.lineMm"
        :stroke-dasharray="dashes"
        :opacity="mark.strength"
      />
      <path v-if="mark.kind !== 'later'" :d="mark.d" :class="mark.kind" />
    </template>
  </g>
</template>

<style scoped>
path {
  fill: none;
  stroke-linecap: round;
  stroke-linejoin: round;
  pointer-events: none;
}
.ground,
.present,
.next {
  vector-effect: non-scaling-stroke;
}
.next {
  stroke: #3a3550;
  stroke-width: 1.4px;
  stroke-dasharray: 5 4;
}
.ground {
  stroke: #fff;
  stroke-width: 5px;
  opacity: 0.8;
}
.present {
  stroke: var(--halo);
  stroke-width: 2px;
}
</style>
