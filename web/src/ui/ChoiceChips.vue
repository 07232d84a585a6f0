<script setup lang="ts" generic="Value extends string | number">
/** Choices side by side, each large enough for a finger: one of them, or several, is pressed. */
defineProps<{
  label: string;
  options: readonly { readonly value: Value; readonly label: string }[];
  isPressed: (value: Value) => boolean;
}>();
defineEmits<{ press: [value: Value] }>();
</script>

<template>
  <div class="chips" role="group" :aria-label="label">
    <button
      v-for="option in options"
      :key="option.value"
      type="button"
      class="plain chip"
      :aria-pressed="isPressed(option.value)"
      @click="$emit('press', option.value)"
    >
      {{ option.label }}
    </button>
  </div>
</template>

<style scoped>
.chips {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.chip {
  min-height: 44px;
  padding: 8px 16px;
  border: 1px solid var(--chalk);
  border-radius: 22px;
  background: var(--paper);
  color: var(--ink);
}
.chip[aria-pressed='true'] {
  background: var(--madder);
  border-color: var(--madder);
  color: var(--paper);
}
</style>
