<script setup lang="ts">
import { movePart, removeParts, renamePart, setGroup, setHidden } from '@junctura/core/piece';
import { NButton, NInput, NRadio, NRadioGroup } from 'naive-ui';
import { computed } from 'vue';
import PartsList from '../components/PartsList.vue';
import { useBench } from '../stores/bench.ts';
import { useSettings } from '../stores/settings.ts';
import { KIND_WORDS, partSize } from './partWords.ts';

const bench = useBench();
const settings = useSettings();
const part = computed(() => bench.pickedPart);
const placed = computed(
  () => bench.workings?.plan.parts.find((planned) => planned.part.id === part.value?.id)?.placed ?? null,
);
const like = computed(() => {
  const group = part.value?.group ?? null;
  return group === null ? [] : bench.piece.drawing.parts.filter((other) => other.group === group);
});
const several = computed(() => bench.picked.length > 1);

function makeGroup(): void {
  const taken = new Set(bench.piece.drawing.parts.map((other) => other.group));
  let n = 1;
  while (taken.has(`g${n}`)) n++;
  bench.edit(setGroup(bench.piece, bench.picked, `g${n}`));
}
</script>

<template>
  <div v-if="several" class="stack">
    <h2>{{ bench.picked.length }} parts</h2>
    <p class="soft">Parts of one group are worked alike: what you choose for one is chosen for all.</p>
    <div class="row">
      <NButton size="small" type="primary" @click="makeGroup">Work them alike</NButton>
      <NButton size="small" @click="bench.edit(removeParts(bench.piece, bench.picked))">Remove them</NButton>
      <NButton size="small" quaternary @click="bench.pick([])">All parts</NButton>
    </div>
  </div>

  <div v-else-if="part && placed" class="stack">
    <button type="button" class="plain soft small" @click="bench.pick([])">‹ All parts</button>
    <div class="field">
      <label for="part-name">Name</label>
      <NInput
        :value="part.name"
        size="small"
        maxlength="200"
        :input-props="{ id: 'part-name' }"
        @update:value="(name) => bench.edit(renamePart(bench.piece, part!.id, name))"
      />
    </div>
    <p>
      {{ KIND_WORDS[part.kind] }}, {{ partSize(placed, settings.units) }}.
      <span v-if="placed.isPartlyHidden" class="soft">Part of it lies behind other parts and is cut away.</span>
    </p>
    <p v-if="like.length > 1">
      One of {{ like.length }} that are worked alike.
      <button type="button" class="plain link" @click="bench.edit(setGroup(bench.piece, [part!.id], null))">
        Work this one by itself
      </button>
    </p>
    <div class="row">
      <NButton size="small" @click="bench.edit(movePart(bench.piece, part!.id, 'front'))">Bring forward</NButton>
      <NButton size="small" @click="bench.edit(movePart(bench.piece, part!.id, 'back'))">Send back</NButton>
      <NButton size="small" @click="bench.edit(removeParts(bench.piece, [part!.id]))">Remove</NButton>
    </div>
  </div>

  <div v-else class="stack">
    <h2>Drawing</h2>
    <p class="soft">
      {{ bench.piece.drawing.parts.length }} parts from “{{ bench.piece.drawing.source }}”, front to back. Pick one here
      or in the hoop; hold Shift to pick several.
    </p>
    <ul v-if="bench.piece.drawing.notes.length > 0" class="notes">
      <li v-for="note in bench.piece.drawing.notes" :key="note">{{ note }}</li>
    </ul>
    <fieldset>
      <legend class="small soft">Where one part lies behind another</legend>
      <NRadioGroup
        :value="bench.piece.drawing.hidden"
        name="hidden"
        @update:value="(value) => bench.edit(setHidden(bench.piece, value))"
      >
        <NRadio value="cut">cut away what is hidden</NRadio>
        <NRadio value="keep">stitch it all the same</NRadio>
      </NRadioGroup>
    </fieldset>
    <PartsList detail="shape" />
  </div>
</template>

<style scoped>
fieldset {
  border: 0;
  padding: 0;
  margin: 0;
}
.notes {
  margin: 0;
  padding: 8px 12px 8px 28px;
  background: var(--weld-ground);
  border-radius: 6px;
}
.link {
  text-decoration: underline;
  text-underline-offset: 2px;
}
</style>
