<script setup lang="ts">
import { RouterLink } from 'vue-router';
import SettingsMenu from '../../session/SettingsMenu.vue';

/** The head of the stitch book's pages, with its chapters. */
const CHAPTERS = [
  { name: 'book', text: 'Stitches' },
  { name: 'compare', text: 'Compare fillings' },
  { name: 'knots', text: 'Knots at true size' },
  { name: 'handling', text: 'Techniques' },
  { name: 'practice', text: 'Practice' },
] as const;
</script>

<template>
  <header>
    <RouterLink to="/" class="home">Junctura</RouterLink>
    <h1>Stitch book</h1>
    <nav aria-label="Chapters">
      <RouterLink v-for="chapter in CHAPTERS" :key="chapter.name" :to="{ name: chapter.name }" active-class="here">{{
        chapter.text
      }}</RouterLink>
    </nav>
    <div class="settings"><SettingsMenu /></div>
  </header>
</template>

<style scoped>
header {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 6px 18px;
  padding: 10px 24px;
  border-bottom: 1px solid var(--chalk);
  background: var(--paper);
}
h1 {
  font-size: 21px;
}
nav {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  margin-left: 14px;
}
nav a {
  color: var(--ink);
  text-decoration: none;
  padding: 3px 2px;
  border-bottom: 2px solid transparent;
}
nav a:hover {
  border-bottom-color: var(--chalk);
}
nav a.here {
  border-bottom-color: var(--madder);
  font-weight: 600;
}
.settings {
  margin-left: auto;
}
</style>
