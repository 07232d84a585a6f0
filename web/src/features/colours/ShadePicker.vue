<script setup lang="ts">
import { differenceInWords, labOf, mixed, nearestBlend, nearestColours, type Match } from '@junctura/core/colour';
import { comesIn, isSameShade, shadeText, type Shade, type ShadeRef } from '@junctura/core/materials';
import { NInput } from 'naive-ui';
import { computed, ref } from 'vue';
import { useShop } from '../../session/shop.ts';
import { useThreadBox } from '../../session/threadBox.ts';
import ChoiceField from '../../ui/ChoiceField.vue';

/** The shades nearest to a colour: of those that are owned first, then of those that can be bought, two in one needle; and whole cards. */
const props = defineProps<{
  hex: string;
  chosen: ShadeRef | null;
  second?: ShadeRef | null;
  blends?: boolean;
  kinds: readonly string[];
}>();
const emit = defineEmits<{ choose: [shade: ShadeRef, second: ShadeRef | null] }>();

const threads = useThreadBox();
const shop = useShop();
const NEAREST = { owned: 3, toBuy: 3 } as const;
const search = ref('');
const cardId = ref<string | null>(null);
/** The cards of the kinds of thread that are worked in; where there are none, all cards. */
const fitting = computed(() => {
  const found = threads.ranges.filter((range) => comesIn(range, props.kinds));
  return found.length > 0 ? found : threads.ranges;
});
const card = computed(() => fitting.value.find(({ id }) => id === cardId.value) ?? fitting.value[0]!);
const cards = computed(() =>
  fitting.value.map(({ id, name, shades }) => ({ value: id, label: `${name}, ${shades.length}` })),
);

interface Offer {
  readonly key: string;
  readonly shade: ShadeRef;
  readonly second: ShadeRef | null;
  readonly hexes: string;
  readonly name: string;
  readonly words: string;
}
function offer({ item, difference }: Match<Shade>, more = ''): Offer {
  const words = [differenceInWords(difference), more, shop.isOut(item) ? 'out of stock' : '']
    .filter(Boolean)
    .join(', ');
  return { key: `${item.range} ${item.code}`, shade: item, second: null, hexes: item.hex, name: item.name, words };
}
const wanted = computed(() => labOf(props.hex));
const offers = computed(() => threads.offersIn(props.kinds));
const owned = computed(() =>
  nearestColours(wanted.value, offers.value.owned, NEAREST.owned).map((match) => offer(match)),
);
const toBuy = computed(() => {
  return nearestColours(wanted.value, offers.value.toBuy, NEAREST.toBuy).map((match) => offer(match));
});
/** Two strands of different shades, where they come closer than any single one. */
const blend = computed((): Offer | null => {
  if (!props.blends) return null;
  const { all } = offers.value;
  const [single] = nearestColours(wanted.value, all, 1);
  const found = nearestBlend(wanted.value, all);
  if (!found || !single || found.difference > single.difference * CLOSER) return null;
  const [one, two] = found.item;
  return {
    key: `${one.code}+${two.code}`,
    shade: one,
    second: two,
    hexes: `linear-gradient(100deg, ${one.hex} 50%, ${two.hex} 50%)`,
    name: `${one.name} with ${two.name}`,
    words: differenceInWords(found.difference),
  };
});
/** A mixture is offered where it comes this much closer than a single shade. */
const CLOSER = 0.75;
const isChosen = ({ shade, second }: Offer): boolean =>
  isSameShade(props.chosen, shade) && isSameShade(props.second ?? null, second);
const groups = computed(() =>
  [
    { name: 'From your box', offers: owned.value },
    { name: 'To buy', offers: toBuy.value },
    { name: 'Two shades in one needle', offers: blend.value ? [blend.value] : [] },
  ].filter(({ offers }) => offers.length > 0),
);

/** Families side by side as the card has them; a card whose codes tell of none is laid out by hue. Light above dark. */
const families = computed(() => {
  const text = search.value.trim().toLowerCase();
  const byFamily = new Map<string, Shade[]>();
  const isCoded = card.value.shades.every(({ code }) => /^[a-z]{2}-\d+$/.test(code));
  const ordered = isCoded ? card.value.shades : [...card.value.shades].sort((a, b) => a.lab.l - b.lab.l);
  for (const shade of ordered) {
    if (text && !shadeText(shade).includes(text)) continue;
    const family = isCoded ? shade.code.slice(0, 2) : hueFamily(shade);
    byFamily.set(family, [shade, ...(byFamily.get(family) ?? [])]);
  }
  const found = [...byFamily];
  return (isCoded ? found : found.sort(([a], [b]) => (a < b ? -1 : 1))).map(([, shades]) => shades);
});
function hueFamily({ lab }: Shade): string {
  const hue = (Math.atan2(lab.b, lab.a) * 180) / Math.PI + 180;
  return Math.hypot(lab.a, lab.b) < 8 ? 'zz' : String(Math.floor(hue / 20)).padStart(2, '0');
}
const mixedHex = computed(() => (props.chosen && props.second ? mixed(props.chosen.hex, props.second.hex) : null));
</script>

<template>
  <div class="picker">
    <p class="small soft">
      Nearest to <span class="swatch" :style="{ background: hex }"></span>
      <template v-if="mixedHex">; now <span class="swatch" :style="{ background: mixedHex }"></span></template>
    </p>
    <template v-for="group in groups" :key="group.name">
      <h4>{{ group.name }}</h4>
      <button
        v-for="entry in group.offers"
        :key="entry.key"
        type="button"
        class="plain near"
        :class="{ chosen: isChosen(entry) }"
        :aria-pressed="isChosen(entry)"
        @click="emit('choose', entry.shade, entry.second)"
      >
        <span class="swatch" :style="{ background: entry.hexes }"></span>
        <span
          >{{ entry.name }} <span v-if="!entry.second" class="figure soft">{{ entry.shade.code }}</span></span
        >
        <span class="small soft words">{{ entry.words }}</span>
      </button>
    </template>
    <div class="find">
      <ChoiceField label="Shade card" :value="card.id" :options="cards" @change="(id) => (cardId = id)" />
      <NInput
        v-model:value="search"
        size="small"
        clearable
        placeholder="pale, slate, wd-…"
        :input-props="{ 'aria-label': 'Search the shade card' }"
      />
    </div>
    <div class="card">
      <div v-for="family in families" :key="family[0]!.code" class="family">
        <button
          v-for="shade in family"
          :key="shade.code"
          type="button"
          class="plain shade"
          :class="{ chosen: isSameShade(chosen, shade) }"
          :style="{ background: shade.hex }"
          :title="`${shade.name} ${shade.code}`"
          :aria-label="`${shade.name} ${shade.code}`"
          :aria-pressed="isSameShade(chosen, shade)"
          @click="emit('choose', shade, null)"
        ></button>
      </div>
      <p v-if="families.length === 0" class="small soft">
        No shade has that name. Try a tone (deep, pale) or a family (slate, moss stone).
      </p>
    </div>
  </div>
</template>

<style scoped>
.picker {
  display: grid;
  gap: 5px;
  padding: 4px 0 6px 4px;
}
h4 {
  margin: 5px 0 0;
  font-size: 13px;
  font-weight: 600;
  color: var(--ink-soft);
}
.near {
  display: grid;
  grid-template-columns: 20px minmax(0, 1fr) auto;
  gap: 9px;
  align-items: center;
  padding: 3px 6px;
  border-radius: 5px;
}
.words {
  text-align: right;
}
.near:hover,
.near.chosen {
  background: var(--linen-deep);
}
.small .swatch {
  vertical-align: -5px;
}
.find {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px;
  align-items: end;
  margin-top: 8px;
}
.card {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 3px;
}
.family {
  display: grid;
  gap: 0;
  align-content: start;
}
.shade {
  width: 24px;
  height: 24px;
}
.shade:first-child {
  border-radius: 8px 8px 0 0;
}
.shade:last-child {
  border-radius: 0 0 8px 8px;
}
.shade.chosen {
  outline: 3px solid var(--ink);
  outline-offset: -2px;
  border-radius: 4px;
}
</style>
