<script setup lang="ts">
import { Minus, Plus } from '@lucide/vue';
import { NInputNumber } from 'naive-ui';
import { useId } from 'vue';

/** A number with its unit, to type or to step. */
defineProps<{ label: string; value: number; min: number; max: number; step?: number; unit: string; hint?: string }>();
const emit = defineEmits<{ change: [value: number] }>();
const id = useId();

function pass(value: number | null): void {
  if (value !== null) emit('change', value);
}
</script>

<template>
  <div class="field">
    <label :for="id" :title="hint">{{ label }}</label>
    <div class="row">
      <slot />
      <NInputNumber
        class="number"
        :value="value"
        size="small"
        :min="min"
        :max="max"
        :step="step ?? 1"
        :input-props="{ id }"
        @update:value="pass"
      >
        <template #suffix>{{ unit }}</template>
        <template #minus-icon><Minus :size="14" /><span class="visually-hidden">Less</span></template>
        <template #add-icon><Plus :size="14" /><span class="visually-hidden">More</span></template>
      </NInputNumber>
    </div>
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
</style>
