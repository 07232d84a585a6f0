<script setup lang="ts">
import { formatLength, MM_PER_INCH, parseLength } from '@junctura/core/measure';
import { NInput } from 'naive-ui';
import { computed, ref, useId, watch } from 'vue';
import { useUnits } from './units.ts';
import * as say from './words.ts';

/** A length to type as people write it: `120`, `12 cm`, `4 1/2 in`. */
const props = defineProps<{
  label: string;
  valueMm: number;
  minMm: number;
  maxMm: number;
  stepMm?: number;
  disabled?: boolean;
}>();
const emit = defineEmits<{ change: [valueMm: number] }>();

const units = useUnits();
const id = useId();
const shown = computed(() =>
  units.value === 'inch' ? formatLength(props.valueMm, 'inch') : say.typedMm(props.valueMm),
);
const text = ref(shown.value);
const problem = ref<string | null>(null);
/** What was passed on and has not come back yet: leaving the field must not pass it on once more. */
let passedOn: string | null = null;
watch(shown, (now) => {
  passedOn = null;
  // What was typed wrongly stays with its message until it is mended, whatever else changes meanwhile.
  if (problem.value === null) text.value = now;
});

/** Back to the length as it is. */
function restore(): void {
  text.value = shown.value;
  problem.value = null;
}

function commit(): void {
  if (text.value === shown.value) problem.value = null;
  if (text.value === shown.value || text.value === passedOn) return;
  const value = parseLength(text.value, units.value);
  if (value === null) {
    problem.value = 'Enter a length such as 120 mm, 12 cm or 4 1/2 in';
    return;
  }
  if (value < props.minMm || value > props.maxMm) {
    problem.value = say.lengthRange(formatLength(props.minMm, units.value), formatLength(props.maxMm, units.value));
    return;
  }
  problem.value = null;
  passedOn = text.value;
  emit('change', value);
}

function onKey(event: KeyboardEvent): void {
  if (event.key === 'Enter') commit();
  else step(event);
}

function step(event: KeyboardEvent): void {
  if (event.key === 'Escape' && problem.value !== null) {
    event.stopPropagation();
    restore();
    return;
  }
  const way = event.key === 'ArrowUp' ? 1 : event.key === 'ArrowDown' ? -1 : 0;
  if (way === 0) return;
  event.preventDefault();
  const by = props.stepMm ?? (units.value === 'inch' ? MM_PER_INCH / 16 : 1);
  const next = Math.min(props.maxMm, Math.max(props.minMm, props.valueMm + way * by));
  restore();
  emit('change', next);
}
</script>

<template>
  <div class="field">
    <label :for="id">{{ label }}</label>
    <NInput
      v-model:value="text"
      size="small"
      :disabled="disabled ?? false"
      v-bind="problem ? { status: 'warning' as const } : {}"
      :input-props="{ id, 'aria-describedby': problem ? `${id}-problem` : undefined }"
      @blur="commit"
      @keydown="onKey"
    />
    <span v-if="problem" :id="`${id}-problem`" class="problem" role="alert">{{ problem }}</span>
  </div>
</template>

<style scoped>
.problem {
  font-size: 13px;
  color: var(--weld);
}
</style>
