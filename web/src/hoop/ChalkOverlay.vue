<script setup lang="ts">
import type { Step } from '@junctura/core/order';
import { computed } from 'vue';
import { partPath } from './usePartPaths.ts';
import { useWorkings } from '../session/workings.ts';

/** What is still to be worked, in chalk over the cloth: the present step firmly, what comes next lightly, the rest faintly. */
const props = defineProps<{ steps: readonly Step[]; place: number }>();
const workings = useWorkings();

/** So many of the next steps are told apart from the rest. */
const NEXT = 3;

const marks = computed(() => {
  const plan = workings.current?.plan;
  if (!plan) return [];
  const { parts } = plan;
  const order = props.steps;
  const at = Math.min(Math.floor(props.place + 1e-9), order.length);
  const begun = new Set(order.slice(0, at).map(({ part }) => part));
  const present = order[at]?.part;
  const next = new Set(order.slice(at + 1, at + 1 + NEXT).map(({ part }) => part));
  const waiting = new Set(order.slice(at).map(({ part }) => part));
  return parts
    .filter(({ part }) => waiting.has(part.id) && (!begun.has(part.id) || part.id === present))
    .map(({ part, placed }) => ({
      id: part.id,
      d: partPath(placed),
      kind: part.id === present ? 'present' : next.has(part.id) ? 'next' : 'later',
    }));
});
</script>

<template>
  <g class="chalk">
    <template v-for="mark in marks" :key="mark.id">
      <path v-if="mark.kind === 'present'" :d="mark.d" class="ground" />
      <path :d="mark.d" :class="mark.kind" />
    </template>
  </g>
</template>

<style scoped>
path {
  fill: none;
  vector-effect: non-scaling-stroke;
  stroke-linecap: round;
  stroke-linejoin: round;
  pointer-events: none;
}
.later {
  stroke: #6a6478;
  stroke-width: 1px;
  opacity: 0.55;
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
