<script setup lang="ts">
import { RouterLink } from 'vue-router';

/** Links to lessons in handling, each opened beside what one is at. */
defineProps<{ lessons: readonly { readonly id: string; readonly text: string }[] }>();
</script>

<template>
  <span>
    <template v-for="({ id, text }, i) in lessons" :key="id"
      ><template v-if="i > 0">, </template
      ><RouterLink :to="{ name: 'handling', hash: `#${id}` }" target="_blank">{{ text }}</RouterLink></template
    >
  </span>
</template>

<style scoped>
a {
  color: inherit;
}
</style>
