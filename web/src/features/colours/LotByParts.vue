<script setup lang="ts">
import { fromAnotherLot, type PaletteColour } from '@junctura/core/piece';
import { NButton, NCheckbox, NInput } from 'naive-ui';
import { computed, ref } from 'vue';
import { useOpenedPiece } from '../../session/openedPiece.ts';
import * as say from './words.ts';

/** Parts of one colour that are worked from another dye lot: lots differ a little, so that each is a row of its own. */
const props = defineProps<{
  colour: PaletteColour;
  parts: readonly { readonly id: string; readonly name: string }[];
}>();
const opened = useOpenedPiece();
const isOpen = ref(false);
const lot = ref('');
const chosen = ref<ReadonlySet<string>>(new Set());
const problem = computed(() => {
  if (chosen.value.size === props.parts.length) return 'Leave a part in this dye lot, or change its dye lot above.';
  return lot.value.trim() === (props.colour.lot ?? '') && lot.value !== '' ? 'That is the dye lot it has now.' : null;
});
function choose(id: string, isChosen: boolean): void {
  const next = new Set(chosen.value);
  if (isChosen) next.add(id);
  else next.delete(id);
  chosen.value = next;
}
function take(): void {
  opened.edit(fromAnotherLot(opened.piece, props.colour.id, chosen.value, lot.value.trim()));
  isOpen.value = false;
  chosen.value = new Set();
  lot.value = '';
}
</script>

<template>
  <NButton v-if="!isOpen" size="small" @click="isOpen = true">Use another dye lot for some parts</NButton>
  <fieldset v-else class="lots">
    <legend class="small soft">Which parts are worked from another dye lot?</legend>
    <ul>
      <li v-for="part in parts" :key="part.id">
        <NCheckbox
          size="small"
          :checked="chosen.has(part.id)"
          @update:checked="(isChosen: boolean) => choose(part.id, isChosen)"
          >{{ part.name }}</NCheckbox
        >
      </li>
    </ul>
    <div class="row">
      <NInput
        v-model:value="lot"
        size="small"
        maxlength="60"
        placeholder="number of the other dye lot"
        :input-props="{ 'aria-label': 'The other dye lot' }"
      />
      <NButton
        size="small"
        type="primary"
        :disabled="problem !== null || chosen.size === 0 || lot.trim() === ''"
        @click="take"
        >{{ chosen.size === 0 ? 'Use this dye lot' : say.partsFromLot(chosen.size) }}</NButton
      >
      <NButton size="small" quaternary @click="isOpen = false">Cancel</NButton>
    </div>
    <p v-if="problem" class="small problem" role="alert">{{ problem }}</p>
  </fieldset>
</template>

<style scoped>
.lots {
  border: 1px solid var(--chalk);
  border-radius: 6px;
  padding: 6px 10px 10px;
  margin: 0;
}
ul {
  list-style: none;
  margin: 4px 0 8px;
  padding: 0;
  max-height: 180px;
  overflow: auto;
}
</style>
