<script setup lang="ts">
import { Minus, Plus } from '@lucide/vue';
import { NInputNumber } from 'naive-ui';
import { ref, useId } from 'vue';
import { numberTyped } from './typing.ts';
import * as say from './words.ts';

/** A number with its unit, to type or to step. */
const props = defineProps<{
  label: string;
  /** Null: several things differ in it. */
  value: number | null;
  min: number;
  max: number;
  step?: number;
  unit: string;
  hint?: string;
}>();
const emit = defineEmits<{ change: [value: number] }>();
const id = useId();

/** What was typed since the field was entered, and what is wrong with it: said until something right is typed. */
let typed: string | null = null;
const problem = ref<string | null>(null);

function pass(value: number | null): void {
  if (value === null) return;
  problem.value = null;
  emit('change', value);
}

/** Tells a number as soon as it is typed whole: a field with a reader of its own would tell it only when it is left. */
function hear(text: string): void {
  typed = text;
  const number = numberTyped(text, props.unit);
  if (number >= props.min && number <= props.max && number !== props.value) pass(number);
}

/** Nothing is taken of what is no number. */
function parse(text: string): number | null {
  const number = numberTyped(text, props.unit);
  return Number.isNaN(number) ? null : number;
}

function judge(): void {
  if (typed === null) return;
  const number = numberTyped(typed, props.unit);
  const isGood = number >= props.min && number <= props.max;
  problem.value = isGood ? null : say.numberRange(props.min, props.max, props.unit);
  typed = null;
}
</script>

<template>
  <div class="field">
    <label :for="id" :title="hint">{{ label }}</label>
    <div class="row" @input="hear(($event.target as HTMLInputElement).value)" @focusout="judge">
      <slot />
      <NInputNumber
        class="number"
        :value="value"
        :placeholder="value === null ? say.MIXED : ''"
        size="small"
        :min="min"
        :max="max"
        :step="step ?? 1"
        :parse="parse"
        :input-props="{ id, inputmode: 'decimal', 'aria-describedby': problem ? `${id}-problem` : undefined }"
        v-bind="problem ? { status: 'warning' as const } : {}"
        @update:value="pass"
      >
        <template #suffix>{{ unit }}</template>
        <template #minus-icon><Minus :size="14" /><span class="visually-hidden">Less</span></template>
        <template #add-icon><Plus :size="14" /><span class="visually-hidden">More</span></template>
      </NInputNumber>
    </div>
    <span v-if="problem" :id="`${id}-problem`" class="problem" role="alert">{{ problem }}</span>
  </div>
</template>

<style scoped>
.row {
  flex-wrap: nowrap;
  gap: 8px;
}
.number {
  flex: 1;
  min-width: 0;
}
.problem {
  font-size: 13px;
  color: var(--weld);
}
</style>
