<script setup lang="ts">
import {
  AIR_MM,
  DEFAULT_THREAD,
  HOOP_SIZES_MM,
  hoopSizeText,
  isSameShade,
  metresOf,
  newEntry,
  ownsHoop,
  threadKind,
  type BoxEntry,
} from '@junctura/core/materials';
import { fitToHoop, keepsSize } from '@junctura/core/drawing';
import { plainHoop, setHoop, takeShades } from '@junctura/core/piece';
import { shadesOwned } from '@junctura/core/advice';
import { NButton, NSlider } from 'naive-ui';
import { computed, ref } from 'vue';
import { newId } from '../../keeping/newId.ts';
import ChoiceChips from '../../ui/ChoiceChips.vue';
import { useOpenedPiece } from '../../session/openedPiece.ts';
import { useSettings } from '../../session/settings.ts';
import { useThreadBox } from '../../session/threadBox.ts';
import { COMMON_COLOURS, NO_LABEL } from './colours.ts';
import * as say from './words.ts';

/** What is there already: hoops by a tick, threads by tapping colours as one calls them. */
const opened = useOpenedPiece();
const settings = useSettings();
const threads = useThreadBox();
void threads.load();

const LARGEST_MM = 250;
const ownsSize = (nominalMm: number): boolean => ownsHoop(threads.box.basket, { nominalMm, shortMm: null });
const sizeText = (nominalMm: number): string => hoopSizeText({ nominalMm, shortMm: null }, settings.units);

const SIZES = HOOP_SIZES_MM.filter((size) => size <= LARGEST_MM).map((value) => ({
  value: value as number,
  label: say.hoopOwned(sizeText(value)),
}));
function tickHoop(nominalMm: number): void {
  const { basket } = threads.box;
  const isOwned = ownsSize(nominalMm);
  const without = basket.filter(
    (item) => item.kind !== 'hoop' || item.nominalMm !== nominalMm || item.shortMm !== null,
  );
  const items = isOwned ? without : [...basket, { id: newId(), kind: 'hoop' as const, nominalMm, shortMm: null }];
  threads.change(isOwned ? 'Remove a hoop' : 'Add a hoop', { ...threads.box, basket: items });
  if (!isOwned) useHoop();
}
/** The piece goes into the largest hoop that is there, where its own is not. */
function useHoop(): void {
  const { hoop, placement } = opened.piece;
  if (hoop && ownsHoop(threads.box.basket, hoop)) return;
  const largest = Math.max(...SIZES.map(({ value }) => value).filter(ownsSize));
  const next = { ...(hoop ?? plainHoop(largest, AIR_MM.usual)), nominalMm: largest, shortMm: null, warp: null };
  opened.edit(setHoop(opened.piece, next, keepsSize(opened.piece) ? placement : fitToHoop(opened.piece, next)));
}

const shadeOf = (name: string, hex: string): BoxEntry['shade'] => ({
  range: NO_LABEL,
  code: name.toLowerCase(),
  name,
  hex,
});
const entryOf = (name: string, hex: string): BoxEntry | undefined =>
  threads.box.entries.find(({ shade }) => isSameShade(shade, shadeOf(name, hex)));
function tapColour(name: string, hex: string): void {
  const own = entryOf(name, hex);
  if (own) {
    threads.change('Remove a thread', {
      ...threads.box,
      entries: threads.box.entries.filter(({ id }) => id !== own.id),
    });
  } else {
    threads.addEntries('Add a thread', [
      newEntry({ id: newId(), shade: shadeOf(name, hex), thread: DEFAULT_THREAD, whole: 1 }),
    ]);
  }
}
/** What a skein holds, m. */
const { putUpM } = threadKind(DEFAULT_THREAD);
const tapped = computed(() =>
  COMMON_COLOURS.flatMap(([name, hex]) => {
    const entry = entryOf(name, hex);
    return entry ? [{ name, hex, entry, skeins: metresOf(entry) / putUpM }] : [];
  }),
);
function setSkeins(entry: BoxEntry, skeins: number): void {
  const whole = Math.floor(skeins);
  threads.changeEntries(
    'Change how much there is',
    new Set([entry.id]),
    (now) => ({ ...now, whole, partM: (skeins - whole) * putUpM }),
    `skeins ${entry.id}`,
  );
}

const owned = computed(() => threads.offersIn([DEFAULT_THREAD]).owned);
/** The colour whose own thread is farthest from what was drawn, once they are used. */
const farthest = ref<{ readonly name: string; readonly difference: number } | null>(null);
function useOwn(): void {
  const chosen = shadesOwned(opened.piece.palette, owned.value);
  const differences = [...chosen.values()].map(({ shade, difference }) => ({ name: shade!.name, difference }));
  farthest.value = differences.sort((a, b) => b.difference - a.difference)[0] ?? null;
  opened.edit(takeShades(opened.piece, chosen, 'Use the threads I have'));
}
</script>

<template>
  <section aria-labelledby="q-box" data-test="your-box">
    <h2 id="q-box">What is in your box?</h2>
    <ChoiceChips label="Hoops you have" :options="SIZES" :is-pressed="ownsSize" @press="tickHoop" />
    <p class="small soft">Tap the colours you have. No label is needed: a red without a name is a red.</p>
    <div class="swatches" role="group" aria-label="Colours you have">
      <button
        v-for="[name, hex] in COMMON_COLOURS"
        :key="name"
        type="button"
        class="plain swatch"
        :aria-pressed="entryOf(name, hex) !== undefined"
        @click="tapColour(name, hex)"
      >
        <i :style="{ background: hex }" aria-hidden="true"></i>
        <span>{{ name }}</span>
      </button>
    </div>
    <details v-if="tapped.length > 0">
      <summary>How much of each</summary>
      <div v-for="{ name, hex, entry, skeins } in tapped" :key="name" class="amount">
        <i :style="{ background: hex }" aria-hidden="true"></i>
        <span class="small">{{ name }}</span>
        <NSlider
          :value="skeins"
          :min="0.25"
          :max="3"
          :step="0.25"
          :aria-label="say.skeinsOf(name)"
          :format-tooltip="(value) => String(value)"
          @update:value="(value) => setSkeins(entry, value as number)"
        />
        <span class="figure small">{{ skeins }}</span>
      </div>
    </details>
    <p v-if="owned.length > 0" class="row">
      <NButton size="small" data-test="use-own" @click="useOwn">Use the threads I have</NButton>
      <span class="small soft">{{ say.threadsThere(owned.length) }}</span>
    </p>
    <p v-if="farthest" class="small soft" role="status">{{ say.farthest(farthest.name, farthest.difference) }}</p>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: 12px;
}
h2 {
  margin: 0;
}
.swatches {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(104px, 1fr));
  gap: 8px;
}
.swatch {
  width: 100%;
  min-height: 68px;
  height: auto;
  display: grid;
  justify-items: center;
  white-space: nowrap;
  gap: 4px;
  padding: 8px 4px;
  border: 2px solid transparent;
  border-radius: 8px;
  font-size: 13px;
  color: var(--ink);
}
.swatch i,
.amount i {
  width: 30px;
  height: 30px;
  border-radius: 50%;
  border: 1px solid var(--chalk);
}
.swatch[aria-pressed='true'] {
  border-color: var(--madder);
  background: var(--paper);
  font-weight: 600;
}
.amount {
  display: grid;
  grid-template-columns: 30px 90px minmax(80px, 260px) 40px;
  align-items: center;
  gap: 12px;
  min-height: 44px;
}
.amount i {
  width: 22px;
  height: 22px;
}
summary {
  min-height: 32px;
  cursor: pointer;
}
</style>
