<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { RouterLink } from 'vue-router';
import { useKeeper } from './keeper.ts';
import { useOpenedPiece } from './openedPiece.ts';

/** Opens the piece that a page is of, and shows the page when it is read: no other piece is shown in its place meanwhile. */
const props = defineProps<{ id: string }>();
const opened = useOpenedPiece();
const keeper = useKeeper();
const missing = ref<string | null>(null);
const shownId = ref<string | null>(null);
watch(
  () => props.id,
  async (id) => {
    const opening = await keeper.open(id);
    if (opening.type === 'overtaken') return;
    missing.value = opening.type === 'refused' ? opening.problem : null;
    shownId.value = id;
  },
  { immediate: true },
);
/** A piece that was kept as a second one goes on under its new address. */
const isShown = computed(() => props.id === shownId.value || props.id === opened.piece.id);
</script>

<template>
  <main v-if="missing" class="instead">
    <h1>This piece can’t be opened</h1>
    <p>{{ missing }}</p>
    <RouterLink to="/">Back to the bench</RouterLink>
  </main>
  <main v-else-if="!isShown" class="instead" aria-busy="true"><p class="soft">Opening the piece…</p></main>
  <slot v-else></slot>
</template>

<style scoped>
.instead {
  max-width: 560px;
  margin: 12vh auto;
  padding: 0 20px;
  display: grid;
  gap: 14px;
}
</style>
