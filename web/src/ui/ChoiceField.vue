<script setup lang="ts" generic="Value extends string | number">
import { useId } from 'vue';
import { MIXED } from './words.ts';

/** A choice among few: a label and the browser's own list, which every keyboard and reader knows. Null: several things differ in it. */
defineProps<{
  label: string;
  value: Value | null;
  options: readonly { readonly value: Value; readonly label: string }[];
}>();
const emit = defineEmits<{ change: [value: Value] }>();
const id = useId();

/** Lists give text back; the option knows what its value was. */
function pick(options: readonly { readonly value: Value }[], isMixed: boolean, event: Event): void {
  const option = options[(event.target as HTMLSelectElement).selectedIndex - (isMixed ? 1 : 0)];
  if (option) emit('change', option.value);
}
</script>

<template>
  <div class="field">
    <label :for="id">{{ label }}</label>
    <select :id="id" :value="value ?? ''" @change="pick(options, value === null, $event)">
      <option v-if="value === null" value="" disabled>{{ MIXED }}</option>
      <option v-for="option in options" :key="option.value" :value="option.value">{{ option.label }}</option>
    </select>
  </div>
</template>

<style scoped>
select {
  font: inherit;
  font-size: 14px;
  color: var(--ink);
  background: var(--paper);
  border: 1px solid var(--chalk);
  border-radius: 5px;
  height: 30px;
  padding: 0 6px;
  width: 100%;
  min-width: 0;
  text-overflow: ellipsis;
}
select:hover {
  border-color: var(--madder);
}
</style>
