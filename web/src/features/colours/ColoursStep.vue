<script setup lang="ts">
import { plural } from '@junctura/core/measure';
import { usesColour } from '@junctura/core/work';
import { colourPairs, substitutes } from '@junctura/core/advice';
import { deltaE, differenceInWords, labOf, nearestColours, SEEING, type Seeing } from '@junctura/core/colour';
import { nearestShade, type ShadeRef } from '@junctura/core/materials';
import {
  colourName,
  dropColour,
  gatherShades,
  setColour,
  shadesApart,
  shadesOf,
  takeShades,
  type PaletteColour,
  type Piece,
  type WorkedIn,
} from '@junctura/core/piece';
import { NButton, NInput } from 'naive-ui';
import { computed, onBeforeUnmount, ref, shallowRef } from 'vue';
import ChoiceField from '../../ui/ChoiceField.vue';
import ShadeLadder from './ShadeLadder.vue';
import LotByParts from './LotByParts.vue';
import ShadePicker from './ShadePicker.vue';
import ToldApart from './ToldApart.vue';
import { useOpenedPiece } from '../../session/openedPiece.ts';
import { useWorkings } from '../../session/workings.ts';
import { useSelection } from '../../session/selection.ts';
import { useShop } from '../../session/shop.ts';
import { useThreadBox } from '../../session/threadBox.ts';
import { SEEING_WORDS } from './words.ts';
import * as say from './words.ts';
import { comesLater } from '../../ui/comesLater.ts';

const PicturePalette = comesLater(() => import('./PicturePalette.vue'));
const ColourwaysDialog = comesLater(() => import('./ColourwaysDialog.vue'));

const opened = useOpenedPiece();

const workings = useWorkings();

const selection = useSelection();
const threads = useThreadBox();
const shop = useShop();
void shop.ask();
const openId = ref<string | null>(null);
const dialog = ref<'picture' | 'colourways' | null>(null);
const isLadderOpen = ref(false);

const entries = computed(() =>
  opened.piece.palette
    .map((colour) => ({
      colour,
      ...colourName(colour),
      parts: (workings.current?.plan.parts ?? [])
        .filter((planned) => planned.part.colour === colour.id || usesColour(planned, colour.id))
        .map(({ part }) => part),
      isOut: shop.isOut(shadesOf(colour).first),
    }))
    .filter(({ parts }) => parts.length > 0),
);
/** Shades of the palette that nothing is worked in yet. */
const gathered = computed(() => {
  const used = new Set(entries.value.map(({ colour }) => colour.id));
  return opened.piece.palette
    .filter(({ id, shade }) => !used.has(id) && shade !== null)
    .map((colour) => ({ colour, ...colourName(colour) }));
});
/** Names that more than one row has: such rows say what they colour. */
const doubled = computed(() => {
  const names = entries.value.map(({ name }) => name);
  return new Set(names.filter((name, i) => names.indexOf(name) !== i));
});
function coloured(parts: readonly { readonly name: string }[]): string {
  return say.firstAndMore(parts[0]?.name ?? '', parts.length - 1);
}
const isGathering = ref(false);
function gather(shade: ShadeRef): void {
  opened.edit(gatherShades(opened.piece, [shade]));
}
const unchosen = computed(() => entries.value.filter(({ colour }) => colour.shade === null));

/** Nearest of the cards of the kinds of thread that a colour is worked in. */
function nearestFor({ id, hex }: PaletteColour): ShadeRef {
  const [nearest] = nearestColours(labOf(hex), threads.offersIn(kindsOf(id)).all, 1);
  return nearest?.item ?? nearestShade(hex).item;
}
function chooseAll(): void {
  const shades = new Map(unchosen.value.map(({ colour }) => [colour.id, { shade: nearestFor(colour), second: null }]));
  take(shades, 'Use the nearest shades');
}

/** What came to one shade with another colour by the last choice, and how it would be otherwise. */
const joined = shallowRef<{ text: string; after: Piece; keepApart: () => void } | null>(null);
/** Gives colours their shades: those that come to one are one row and one skein, and it is said. */
function take(shades: ReadonlyMap<string, WorkedIn>, label: string): void {
  const before = opened.piece;
  const used = new Set(entries.value.map(({ colour }) => colour.id));
  opened.edit(takeShades(before, shades, label));
  const left = new Set(opened.piece.palette.map(({ id }) => id));
  const gone = before.palette.filter(({ id }) => used.has(id) && !left.has(id));
  if (gone.length === 0) return;
  const wanted = new Map([...gone.map(({ id, shade, second }) => [id, { shade, second }] as const), ...shades]);
  const names = gone.flatMap(({ id }) => wanted.get(id)?.shade?.name ?? []);
  if (openId.value !== null && !left.has(openId.value)) show(null);
  joined.value = {
    text: say.cameToOneShade([...new Set(names)]),
    after: opened.piece,
    keepApart: () => {
      opened.undo();
      const offers = threads.offersIn(workings.kinds).all;
      opened.edit(takeShades(opened.piece, shadesApart(opened.piece, wanted, offers), 'Keep the colours apart'));
    },
  };
}
function show(id: string | null): void {
  openId.value = openId.value === id ? null : id;
  isLadderOpen.value = false;
  selection.pickColour(openId.value);
}
function words({ colour, hex, parts }: { colour: PaletteColour; hex: string; parts: readonly unknown[] }): string {
  const count = plural(parts.length, 'part');
  if (colour.shade === null) return say.noShadeYet(count, nearestShade(colour.hex).item.name);
  const away = deltaE(labOf(colour.hex), labOf(hex));
  return away < 1 ? say.asDrawn(count) : say.awayFromDrawn(count, differenceInWords(away));
}
const choose = (id: string, shade: ShadeRef, second: ShadeRef | null): void =>
  take(new Map([[id, { shade, second }]]), 'Choose a shade');

/** The kinds of thread in which a colour is worked. */
function kindsOf(id: string): string[] {
  return (workings.current?.plan.colours ?? []).flatMap(({ colour, thread }) => (colour === id ? [thread] : []));
}

/** What can stand for a shade that the shop does not have, and what becomes of its neighbours. */
function standIns(id: string) {
  if (!workings.current) return [];
  const { owned, toBuy } = threads.offersIn(kindsOf(id));
  const inStock = [...owned, ...toBuy.filter((shade) => !shop.isOut(shade))];
  const names = new Map(entries.value.map(({ colour, name }) => [colour.id, name]));
  return substitutes(workings.piece, colourPairs(workings.current.plan, workings.memory), id, inStock).map((offer) => ({
    ...offer,
    effect: offer.isLost
      ? 'too close to the cloth'
      : offer.tooNear.length > 0
        ? say.tooNear(offer.tooNear.map(({ colour }) => names.get(colour)))
        : 'distinct from everything else',
  }));
}

const SEEN = [...SEEING, 'armsLength'] as const;
const seeingOptions = SEEN.map((value) => ({ value, label: SEEING_WORDS[value] }));
function see(value: Seeing | 'armsLength'): void {
  selection.seeing = value;
}
onBeforeUnmount(() => (selection.seeing = 'daylight'));
</script>

<template>
  <div class="stack">
    <h2>Colours</h2>
    <p class="soft">Screens and printers distort colour: hold the thread against the cloth before you buy.</p>
    <div class="row">
      <NButton size="small" @click="dialog = 'picture'">Palette from a picture…</NButton>
      <NButton size="small" @click="dialog = 'colourways'">Colourways…</NButton>
    </div>
    <ChoiceField label="See the piece" :value="selection.seeing" :options="seeingOptions" @change="see" />
    <NButton v-if="unchosen.length > 0" type="primary" size="small" @click="chooseAll">
      {{ say.nearestFor(unchosen.length) }}
    </NButton>
    <p v-if="joined && joined.after === opened.piece" class="row small" role="status" data-test="joined">
      <span>{{ joined.text }}</span>
      <NButton size="tiny" @click="joined.keepApart()">Keep them apart</NButton>
    </p>
    <ul class="colours">
      <li v-for="entry in entries" :key="entry.colour.id">
        <button
          type="button"
          class="plain colour"
          :aria-expanded="openId === entry.colour.id"
          @click="show(entry.colour.id)"
        >
          <span class="skein" :style="{ background: entry.hex }"></span>
          <span>
            <strong>{{ entry.name }}</strong><span v-if="entry.colour.role" class="soft">
              · {{ entry.colour.role }}</span
            ><span v-if="entry.colour.lot" class="soft"> · {{ say.dyeLot(entry.colour.lot) }}</span
            ><span v-if="doubled.has(entry.name)" class="soft"> · {{ coloured(entry.parts) }}</span
            ><br />
            <span class="small soft">{{ words(entry) }}</span>
            <span v-if="entry.isOut" class="small out"> Out of stock.</span>
          </span>
        </button>
        <div v-if="openId === entry.colour.id" class="opened">
          <div class="pair">
            <label class="field">
              <span class="label">Where it is used</span>
              <NInput
                :value="entry.colour.role"
                size="small"
                maxlength="60"
                placeholder="body, shadow, sea…"
                @update:value="(role) => opened.edit(setColour(opened.piece, entry.colour.id, { role }))"
              />
            </label>
            <label class="field">
              <span class="label">Dye lot</span>
              <NInput
                :value="entry.colour.lot ?? ''"
                size="small"
                maxlength="60"
                placeholder="on the band"
                @update:value="(lot) => opened.edit(setColour(opened.piece, entry.colour.id, { lot: lot || null }))"
              />
            </label>
          </div>
          <LotByParts
            v-if="entry.parts.length > 1"
            :key="entry.colour.id"
            :colour="entry.colour"
            :parts="entry.parts"
          />
          <div v-if="entry.isOut" class="stand-ins" data-test="stand-ins">
            <h4>Instead</h4>
            <button
              v-for="offer in standIns(entry.colour.id)"
              :key="`${offer.shade.range} ${offer.shade.code}`"
              type="button"
              class="plain near"
              @click="choose(entry.colour.id, offer.shade, null)"
            >
              <span class="swatch" :style="{ background: offer.shade.hex }"></span>
              <span
                >{{ offer.shade.name }}<br /><span class="small soft">{{
                  say.differenceAndEffect(differenceInWords(offer.difference), offer.effect)
                }}</span></span
              >
            </button>
          </div>
          <ShadePicker
            :hex="entry.colour.hex"
            :chosen="entry.colour.shade"
            :second="entry.colour.second"
            :kinds="kindsOf(entry.colour.id)"
            blends
            @choose="(shade, second) => choose(entry.colour.id, shade, second)"
          />
          <button
            type="button"
            class="plain link small"
            :aria-expanded="isLadderOpen"
            @click="isLadderOpen = !isLadderOpen"
          >
            {{ isLadderOpen ? 'Close the shade ladder' : 'Make a shade ladder…' }}
          </button>
          <ShadeLadder v-if="isLadderOpen" :colour-id="entry.colour.id" :shade="shadesOf(entry.colour).first" />
        </div>
      </li>
    </ul>
    <section v-if="gathered.length > 0" class="stack tight" data-test="gathered">
      <h3>In the palette, not yet used</h3>
      <ul class="gathered">
        <li v-for="entry in gathered" :key="entry.colour.id">
          <span class="swatch" :style="{ background: entry.hex }"></span>
          <span>{{ entry.name }}</span>
          <button
            type="button"
            class="plain link small"
            @click="opened.edit(dropColour(opened.piece, entry.colour.id))"
          >
            Remove<span class="visually-hidden"> {{ entry.name }}</span>
          </button>
        </li>
      </ul>
      <p class="small soft">
        You can choose them as the colour of any part. You buy one only once a part is worked in it.
      </p>
    </section>
    <button type="button" class="plain link small" :aria-expanded="isGathering" @click="isGathering = !isGathering">
      {{ isGathering ? 'Close the shade card' : 'Add a shade from the cards…' }}
    </button>
    <ShadePicker
      v-if="isGathering"
      hex="#808080"
      :chosen="null"
      :kinds="workings.kinds"
      @choose="(shade) => gather(shade)"
    />
    <ToldApart />
    <PicturePalette v-if="dialog === 'picture'" @close="dialog = null" />
    <ColourwaysDialog v-if="dialog === 'colourways'" @close="dialog = null" />
  </div>
</template>

<style scoped>
.gathered {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 6px;
}
.gathered li {
  display: flex;
  align-items: center;
  gap: 10px;
}
.gathered li > :nth-child(2) {
  flex: 1;
}
.colours {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 6px;
}
.colour {
  display: flex;
  gap: 12px;
  align-items: center;
  width: 100%;
  padding: 6px 8px;
  margin: 0 -8px;
  border-radius: 8px;
}
.colour:hover {
  background: var(--linen-deep);
}
.out {
  color: var(--weld);
}
.opened {
  display: grid;
  gap: 10px;
  padding: 4px 0 14px;
  border-bottom: 1px solid var(--chalk);
}
.pair {
  display: grid;
  grid-template-columns: 3fr 2fr;
  gap: 12px;
}
h4 {
  margin: 0 0 4px;
  font-size: 13px;
  font-weight: 600;
  color: var(--ink-soft);
}
.near {
  display: flex;
  gap: 9px;
  align-items: center;
  width: 100%;
  padding: 3px 6px;
  border-radius: 5px;
  line-height: 1.3;
}
.near:hover {
  background: var(--linen-deep);
}
.skein {
  flex: none;
  width: 56px;
  height: 26px;
  border-radius: 13px;
  background-image: repeating-linear-gradient(
    96deg,
    rgb(255 255 255 / 16%) 0 1.5px,
    transparent 1.5px 4px,
    rgb(0 0 0 / 14%) 4px 5px
  );
  background-blend-mode: normal;
  box-shadow: inset 0 -5px 7px -4px rgb(0 0 0 / 35%);
}
</style>
