<script setup lang="ts">
import { outlineSide, type PlannedPart, type PlannedPass } from '@junctura/core/work';
import { INSET_MM } from '@junctura/core/piece';
import { NButton } from 'naive-ui';
import { computed } from 'vue';
import { useSelection } from '../../session/selection.ts';
import ChoiceField from '../../ui/ChoiceField.vue';
import NumberField from '../../ui/NumberField.vue';
import type { PassChange } from './passChange.ts';

/** Where an outline goes: all round, on one side, or from one place to another; and how far inside the edge. */
const props = defineProps<{ planned: PlannedPart; pass: PlannedPass; index: number }>();
const emit = defineEmits<{ change: [change: PassChange, label: string, mergeKey: string | null] }>();
const selection = useSelection();

type Run = 'round' | 'shaded' | 'lit' | 'between';
const RUNS: readonly { value: Run; label: string }[] = [
  { value: 'round', label: 'all round' },
  { value: 'shaded', label: 'on the shaded side' },
  { value: 'lit', label: 'on the lit side' },
  { value: 'between', label: 'between two points' },
];
const sides = computed(() => ({
  shaded: JSON.stringify(outlineSide(props.planned.placed, 'shaded')),
  lit: JSON.stringify(outlineSide(props.planned.placed, 'lit')),
}));
const run = computed((): Run => {
  const points = JSON.stringify(props.pass.points);
  if (selection.pen?.draws === 'points' && selection.pen.pass === props.index) return 'between';
  if (props.pass.points.length < 2) return 'round';
  if (points === sides.value.shaded) return 'shaded';
  return points === sides.value.lit ? 'lit' : 'between';
});
function setRun(next: Run): void {
  if (next === 'between') {
    selection.pen = { draws: 'points', part: props.planned.part.id, pass: props.index };
    return;
  }
  const points = next === 'round' ? [] : outlineSide(props.planned.placed, next);
  if (points) emit('change', { points }, 'Change where the outline goes', null);
}
</script>

<template>
  <ChoiceField label="Outline runs" :value="run" :options="RUNS" @change="setRun" />
  <NumberField
    label="Inset from the edge"
    hint="A negative number moves it outside the edge."
    :value="pass.insetMm"
    :min="INSET_MM.least"
    :max="INSET_MM.most"
    :step="0.5"
    unit="mm"
    @change="(insetMm) => emit('change', { insetMm }, 'Inset the outline', 'inset')"
  />
  <div v-if="run === 'between'" class="wide row">
    <NButton size="small" data-test="outline-ends" @click="setRun('between')">{{
      pass.points.length < 2 ? 'Press where it starts, then where it ends' : 'Set its ends again'
    }}</NButton>
    <span class="small soft">It runs with the area on its left: anticlockwise.</span>
  </div>
</template>
