<script setup lang="ts" generic="Id extends string">
/** Some views of one thing in a row of words, of which one is here. */
defineProps<{ label: string; tabs: readonly { readonly id: Id; readonly name: string }[]; here: Id }>();
const emit = defineEmits<{ pick: [id: Id] }>();
</script>

<template>
  <nav :aria-label="label">
    <button
      v-for="tab in tabs"
      :key="tab.id"
      type="button"
      class="plain"
      :class="{ here: tab.id === here }"
      :aria-pressed="tab.id === here"
      @click="emit('pick', tab.id)"
    >
      {{ tab.name }}
    </button>
  </nav>
</template>

<style scoped>
nav {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 16px;
  border-bottom: 1px solid var(--chalk);
}
button {
  padding: 4px 0 6px;
  border-bottom: 2px solid transparent;
}
button:hover {
  border-bottom-color: var(--chalk);
}
button.here {
  border-bottom-color: var(--madder);
  font-weight: 600;
}
</style>
