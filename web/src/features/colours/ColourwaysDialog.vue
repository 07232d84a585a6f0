<script setup lang="ts">
import { shortened } from '@junctura/core/measure';
import { newId } from '../../keeping/newId.ts';
import { colourPairs, shortfall, wornColours, type Variation } from '@junctura/core/advice';
import {
  dropColourway,
  inColourway,
  keepColourway,
  setCloth,
  setShades,
  takeColourway,
  type Piece,
} from '@junctura/core/piece';
import { NButton, NInput } from 'naive-ui';
import { computed, ref, shallowRef } from 'vue';
import { useOpenedPiece } from '../../session/openedPiece.ts';
import { useWorkings } from '../../session/workings.ts';
import { useSettings } from '../../session/settings.ts';
import { useThreadBox } from '../../session/threadBox.ts';
import PieceThumbnail from '../../hoop/PieceThumbnail.vue';
import TheDialog from '../../ui/TheDialog.vue';
import * as say from './words.ts';

/** The piece in other colours, side by side: those that were kept, and whole palettes that keep everything told apart. */
defineEmits<{ close: [] }>();

const opened = useOpenedPiece();

const workings = useWorkings();
const settings = useSettings();
const threads = useThreadBox();
const name = ref('');
const variations = shallowRef<readonly Variation[] | null>(null);
const pairs = computed(() => (workings.current ? colourPairs(workings.current.plan, workings.memory) : []));

function keep(): void {
  const called = name.value.trim() || say.colourwayName(opened.piece.colourways.length + 1);
  opened.edit(keepColourway(opened.piece, newId(), shortened(called, 200)));
  name.value = '';
}
const isVarying = ref(false);
async function vary(): Promise<void> {
  isVarying.value = true;
  const shades = threads.offersIn(workings.kinds).all;
  const answer = await workings.planner.ask('varyPalette', { piece: opened.piece, factors: settings.factors, shades });
  isVarying.value = false;
  variations.value = answer?.ok ? answer.value : [];
}
/** The piece in a variation, as it would be. */
function varied(shades: Variation['shades']): Piece {
  const palette = opened.piece.palette.map((colour) => ({
    ...colour,
    shade: shades.get(colour.id) ?? colour.shade,
    second: null,
  }));
  return { ...opened.piece, palette };
}
function take({ name: called, shades }: Variation): void {
  const chosen = new Map([...shades].map(([id, shade]) => [id, { shade, second: null }]));
  opened.edit(setShades(opened.piece, chosen, say.usePalette(called)));
}
/** How many pairs would still be too near, in words. */
function apart(piece: Piece): string {
  const left = shortfall(pairs.value, wornColours(piece), piece.cloth.colour);
  return left < 0.05 ? 'all colours distinct' : 'some colours are close';
}
const CLOTHS = [
  { hex: '#f4efe4', label: 'Cream cloth' },
  { hex: '#d9dfd3', label: 'Grey-green cloth' },
  { hex: '#cfd6dd', label: 'Pale blue cloth' },
  { hex: '#e6d9c3', label: 'Oatmeal cloth' },
  { hex: '#2a2f3f', label: 'Navy cloth' },
] as const;
function onCloth(hex: string): void {
  opened.edit(setCloth(opened.piece, { colour: hex }));
}
</script>

<template>
  <TheDialog title="Colourways" width="1120px" @close="$emit('close')">
    <div class="all">
      <p class="soft">
        Each shade has a role (body, shadow, sea), so you can recolour the whole piece in one go. Save the colourways
        you like and compare them side by side.
      </p>
      <div class="row">
        <NInput
          v-model:value="name"
          size="small"
          class="name"
          placeholder="For example, Evening"
          maxlength="200"
          :input-props="{ 'aria-label': 'Name of this colourway' }"
          @keydown.enter="keep"
        />
        <NButton size="small" type="primary" @click="keep">Save the current colours</NButton>
        <NButton size="small" @click="vary">Suggest variations</NButton>
        <span class="cloths">
          <span class="small soft">Cloth</span>
          <button
            v-for="{ hex, label } in CLOTHS"
            :key="hex"
            type="button"
            class="plain swatch"
            :style="{ background: hex }"
            :aria-label="label"
            :title="label"
            @click="onCloth(hex)"
          ></button>
        </span>
      </div>
      <ul data-test="colourways">
        <li>
          <PieceThumbnail :key="JSON.stringify([opened.piece.palette, opened.piece.cloth])" :piece="opened.piece" />
          <strong>Now</strong>
          <span class="small soft">{{ apart(opened.piece) }}</span>
        </li>
        <li v-for="kept in opened.piece.colourways" :key="kept.id">
          <PieceThumbnail :piece="inColourway(opened.piece, kept)" />
          <strong>{{ kept.name }}</strong>
          <span class="small soft">{{ say.savedColourway(apart(inColourway(opened.piece, kept))) }}</span>
          <div class="row">
            <NButton size="tiny" @click="opened.edit(takeColourway(opened.piece, kept.id))">Use</NButton>
            <NButton size="tiny" quaternary @click="opened.edit(dropColourway(opened.piece, kept.id))">Remove</NButton>
          </div>
        </li>
        <li v-for="variation in variations ?? []" :key="variation.name">
          <PieceThumbnail :piece="varied(variation.shades)" />
          <strong>{{ variation.name }}</strong>
          <span class="small soft">{{ apart(varied(variation.shades)) }}</span>
          <div class="row"><NButton size="tiny" @click="take(variation)">Use</NButton></div>
        </li>
      </ul>
      <p v-if="variations?.length === 0" class="soft small" role="status">
        No combination from your cards keeps all colours distinct.
      </p>
    </div>
  </TheDialog>
</template>

<style scoped>
.all {
  display: grid;
  gap: 14px;
  max-height: 78vh;
  overflow-y: auto;
}
.name {
  width: 180px;
}
.cloths {
  display: flex;
  gap: 6px;
  align-items: center;
  margin-left: auto;
}
.cloths button {
  width: 24px;
  height: 24px;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(190px, 1fr));
  gap: 18px;
}
li {
  display: grid;
  gap: 2px;
  align-content: start;
}
strong {
  font-family: var(--serif);
  font-weight: 560;
}
</style>
