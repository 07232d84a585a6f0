<script setup lang="ts">
import { colourPairs, shortfall, varyPalette, wornColours, type Variation } from '@junctura/core/advice';
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
import { useBench } from '../stores/bench.ts';
import { useThreadBox } from '../stores/threadBox.ts';
import PieceThumbnail from './PieceThumbnail.vue';
import TheDialog from './TheDialog.vue';

/** The piece in other colours, side by side: those that were kept, and whole palettes that keep everything told apart. */
defineEmits<{ close: [] }>();

const bench = useBench();
const threads = useThreadBox();
const name = ref('');
const variations = shallowRef<readonly Variation[] | null>(null);
const pairs = computed(() => (bench.workings ? colourPairs(bench.workings.plan) : []));

function keep(): void {
  const called = name.value.trim() || `Colourway ${bench.piece.colourways.length + 1}`;
  bench.edit(keepColourway(bench.piece, crypto.randomUUID(), called.slice(0, 200)));
  name.value = '';
}
function vary(): void {
  variations.value = varyPalette(bench.piece, pairs.value, threads.offersIn(bench.kinds).all);
}
/** The piece in a variation, as it would be. */
function varied(shades: Variation['shades']): Piece {
  const palette = bench.piece.palette.map((colour) => ({
    ...colour,
    shade: shades.get(colour.id) ?? colour.shade,
    second: null,
  }));
  return { ...bench.piece, palette };
}
function take({ name: called, shades }: Variation): void {
  const chosen = new Map([...shades].map(([id, shade]) => [id, { shade, second: null }]));
  bench.edit(setShades(bench.piece, chosen, `Take the palette “${called}”`));
}
/** How many pairs would still be too near, in words. */
function apart(piece: Piece): string {
  const left = shortfall(pairs.value, wornColours(piece), piece.cloth.colour);
  return left < 0.05 ? 'everything told apart' : 'some colours come near';
}
const CLOTHS = ['#f4efe4', '#d9dfd3', '#cfd6dd', '#e6d9c3', '#2a2f3f'] as const;
function onCloth(hex: string): void {
  bench.edit(setCloth(bench.piece, { colour: hex }));
}
</script>

<template>
  <TheDialog title="Colourways" width="1120px" @close="$emit('close')">
    <div class="all">
      <p class="soft">
        Shades belong to roles (body, shadow, sea), so the whole piece changes with one choice. Keep what you like and
        set colourways beside each other.
      </p>
      <div class="row">
        <NInput
          v-model:value="name"
          size="small"
          class="name"
          placeholder="Evening, say"
          maxlength="200"
          :input-props="{ 'aria-label': 'Name of this colourway' }"
          @keydown.enter="keep"
        />
        <NButton size="small" type="primary" @click="keep">Keep the piece as it is now</NButton>
        <NButton size="small" @click="vary">Vary the palette</NButton>
        <span class="cloths">
          <span class="small soft">Cloth</span>
          <button
            v-for="hex in CLOTHS"
            :key="hex"
            type="button"
            class="plain swatch"
            :style="{ background: hex }"
            :aria-label="`Cloth in ${hex}`"
            @click="onCloth(hex)"
          ></button>
        </span>
      </div>
      <ul data-test="colourways">
        <li>
          <PieceThumbnail
            :key="JSON.stringify([bench.piece.palette, bench.piece.cloth])"
            :piece="bench.piece"
            :workings="bench.workings"
          />
          <strong>As it is now</strong>
          <span class="small soft">{{ apart(bench.piece) }}</span>
        </li>
        <li v-for="kept in bench.piece.colourways" :key="kept.id">
          <PieceThumbnail :piece="inColourway(bench.piece, kept)" :workings="bench.workings" />
          <strong>{{ kept.name }}</strong>
          <span class="small soft">kept; {{ apart(inColourway(bench.piece, kept)) }}</span>
          <div class="row">
            <NButton size="tiny" @click="bench.edit(takeColourway(bench.piece, kept.id))">Take it</NButton>
            <NButton size="tiny" quaternary @click="bench.edit(dropColourway(bench.piece, kept.id))">Drop it</NButton>
          </div>
        </li>
        <li v-for="variation in variations ?? []" :key="variation.name">
          <PieceThumbnail :piece="varied(variation.shades)" :workings="bench.workings" />
          <strong>{{ variation.name }}</strong>
          <span class="small soft">{{ apart(varied(variation.shades)) }}</span>
          <div class="row"><NButton size="tiny" @click="take(variation)">Take it</NButton></div>
        </li>
      </ul>
      <p v-if="variations?.length === 0" class="soft small" role="status">
        No whole palette of your cards keeps everything apart.
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
