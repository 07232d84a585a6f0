<script setup lang="ts">
import { formatDay, formatNumber } from '@junctura/core/measure';
import { NButton } from 'naive-ui';
import { computed, ref } from 'vue';
import { usePhotographs } from '../../session/photographs.ts';
import { useWorkSoFar } from '../../session/workSoFar.ts';
import * as say from './words.ts';

/** The photographs of the piece in a row; a press on one shows the plan in the hoop as it stood then. */
const photographs = usePhotographs();
const work = useWorkSoFar();
const shown = ref<string | null>(null);

const rows = computed(() =>
  photographs.all.map((photo) => {
    const steps = work.soFar?.done.filter(({ at }) => at <= photo.at).length ?? 0;
    return {
      ...photo,
      steps,
      day: formatDay(new Date(photo.at)),
    };
  }),
);
const size = computed(() => `${formatNumber(photographs.bytes / 1e6, 1)} MB`);

function show(id: string, steps: number): void {
  shown.value = shown.value === id ? null : id;
  work.lookAt = shown.value === null ? null : steps;
}
</script>

<template>
  <section class="stack" aria-label="Photographs">
    <div class="row between">
      <h3>Photographs</h3>
      <NButton size="small" @click="photographs.take">Add a photograph</NButton>
    </div>
    <p v-if="photographs.problem" class="warn" role="alert">{{ photographs.problem }}</p>
    <p v-if="rows.length === 0" class="small soft">
      No photographs yet. One after each sitting shows how the piece grows, beside the plan at the same step. They stay
      in this browser and are not in the piece’s file.
    </p>
    <ul v-else>
      <li v-for="{ id, url, day, steps } in rows" :key="id">
        <button type="button" class="plain" :aria-pressed="shown === id" @click="show(id, steps)">
          <img :src="url" :alt="say.photoOf(day, steps)" />
          <span class="small">{{ say.dayAndStep(day, steps) }}</span>
        </button>
        <button
          type="button"
          class="plain small soft"
          :aria-label="say.removePhoto(day)"
          @click="photographs.remove(id)"
        >
          Remove
        </button>
      </li>
    </ul>
    <p v-if="rows.length > 0" class="small soft">{{ say.sizeInBrowser(size) }}</p>
  </section>
</template>

<style scoped>
.between {
  justify-content: space-between;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0 0 4px;
  display: flex;
  gap: 10px;
  overflow-x: auto;
}
li {
  flex: none;
  width: 116px;
  display: grid;
  gap: 2px;
}
li > button:first-child {
  display: grid;
  gap: 3px;
}
img {
  width: 116px;
  height: 116px;
  object-fit: cover;
  border-radius: 6px;
  border: 2px solid transparent;
}
[aria-pressed='true'] img {
  border-color: var(--madder);
}
.warn {
  padding: 6px 10px;
  border-left: 3px solid var(--madder);
}
</style>
