<script setup lang="ts">
import { NInput } from 'naive-ui';
import { computed, ref } from 'vue';
import { useIntake } from '../../session/intake.ts';
import BeginHeader from './BeginHeader.vue';
import { motifsFor, type Motif } from './motifs.ts';
import * as say from './words.ts';

/** The motifs to begin with, each in thread, searched by a word. */
const intake = useIntake();
const search = ref('');
const found = computed(() => motifsFor(search.value));

function begin({ name, drawing }: Motif): void {
  void intake.begin(new File([drawing], `${name}.svg`, { type: 'image/svg+xml' }));
}
</script>

<template>
  <main class="page">
    <BeginHeader
      title="A design to start from"
      about="Each is drawn for Junctura and free to use. Pick one; you can change every part of it later."
    />
    <div class="search">
      <NInput
        v-model:value="search"
        placeholder="flower, sea, winter…"
        clearable
        :input-props="{ 'aria-label': 'Search for a design', type: 'search' }"
      />
      <p class="small soft" role="status">{{ say.motifsFound(found.length) }}</p>
    </div>
    <p v-if="found.length === 0">{{ say.noMotif(search) }}</p>
    <ul class="motifs" data-test="motifs">
      <li v-for="motif in found" :key="motif.id">
        <button type="button" class="plain motif" @click="begin(motif)">
          <img :src="motif.picture" alt="" loading="lazy" width="160" height="160" />
          <span>{{ motif.name }}</span>
        </button>
      </li>
    </ul>
  </main>
</template>

<style scoped>
.page {
  max-width: 1120px;
  margin: 0 auto;
  padding: 24px 34px 60px;
  display: grid;
  gap: 20px;
}
.search {
  display: flex;
  flex-wrap: wrap;
  gap: 14px;
  align-items: center;
}
.search > :first-child {
  max-width: 360px;
}
.motifs {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(136px, 1fr));
  gap: 14px;
}
.motif {
  width: 100%;
  display: grid;
  gap: 6px;
  padding: 8px;
  border: 1px solid transparent;
  border-radius: 8px;
  text-align: center;
}
.motif:hover,
.motif:focus-visible {
  border-color: var(--madder);
}
img {
  width: 100%;
  height: auto;
  aspect-ratio: 1;
  border-radius: 50%;
  border: 3px solid var(--hoop-wood, #c9995f);
}
@media (width < 600px) {
  .page {
    padding: 12px 16px 40px;
  }
}
</style>
