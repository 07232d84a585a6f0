<script setup lang="ts">
import { ArrowLeft } from '@lucide/vue';
import { RouterLink } from 'vue-router';

/** The heading of a page on the way to a new piece, and the way back to the doors. */
defineProps<{ title: string; about: string }>();
</script>

<template>
  <header>
    <div class="row">
      <RouterLink :to="{ name: 'bench' }" class="back"><ArrowLeft :size="16" aria-hidden="true" /> Back</RouterLink>
      <slot></slot>
    </div>
    <h1>{{ title }}</h1>
    <p class="soft">{{ about }}</p>
  </header>
</template>

<style scoped>
header {
  display: grid;
  gap: 6px;
}
.row {
  display: flex;
  justify-content: space-between;
  align-items: center;
}
.back {
  display: inline-flex;
  gap: 6px;
  align-items: center;
  min-height: 44px;
  color: var(--ink);
  justify-self: start;
}
h1 {
  font-family: var(--serif);
  font-size: 32px;
  margin: 0;
}
</style>
