<script setup lang="ts">
import { newId } from '../../keeping/newId.ts';
import {
  DEFAULT_THREAD,
  isSameShade,
  metresOf,
  newEntry,
  refOf,
  shadeText,
  THREAD_KINDS,
  threadKind,
  weighed,
  type BoxEntry,
  type Shade,
  type ThreadRange,
} from '@junctura/core/materials';
import { formatThread } from '@junctura/core/measure';
import { NButton, NCheckbox, NInput } from 'naive-ui';
import { computed, ref } from 'vue';
import { askScale } from '../../keeping/standIns.ts';
import { useSettings } from '../../session/settings.ts';
import { useThreadBox } from '../../session/threadBox.ts';
import ChoiceField from '../../ui/ChoiceField.vue';
import NumberField from '../../ui/NumberField.vue';
import * as say from './words.ts';

/** One entry of the thread box, to be put in or changed; a remainder is measured or weighed. */
const props = defineProps<{ entry: BoxEntry | null }>();
const emit = defineEmits<{ done: []; remove: [] }>();

const threads = useThreadBox();
const settings = useSettings();
const KINDS = THREAD_KINDS.map(({ id, name }) => ({ value: id, label: name }));

/** For a new entry: the shade that is looked for. */
const rangeId = ref(threads.ranges[0]!.id);
const search = ref('');
const range = computed(() => threads.ranges.find(({ id }) => id === rangeId.value) ?? threads.ranges[0]!);
const MOST_FOUND = 40;
interface Found {
  readonly shade: Shade;
  readonly range: ThreadRange;
}
/** A card as it is; what is searched for on all cards, by name, code or the plain word for its colour. */
const found = computed((): Found[] => {
  const words = search.value.toLowerCase().split(/\s+/).filter(Boolean);
  const cards =
    words.length === 0 ? [range.value] : [range.value, ...threads.ranges.filter((card) => card !== range.value)];
  const all = cards.flatMap((card) => card.shades.map((shade): Found => ({ shade, range: card })));
  return all
    .filter(({ shade }) => {
      const text = shadeText(shade);
      return words.every((word) => text.includes(word));
    })
    .slice(0, MOST_FOUND);
});
/** What was added since the card was opened: it stays open until one says that one is done. */
const added = ref<readonly string[]>([]);
function add({ shade, range: card }: Found): void {
  const entry = newEntry({ id: newId(), shade: refOf(shade), thread: card.thread, whole: 1 });
  threads.addEntries(say.putIn(shade.name), [entry]);
  added.value = [...added.value, shade.name];
}
const isOwned = ({ shade, range: card }: Found): boolean =>
  threads.box.entries.some((own) => own.thread === card.thread && isSameShade(own.shade, shade));

/** What is typed is one edit until something else is changed; what is pressed is one by itself. */
function set(change: Partial<BoxEntry>, isTyped = false): void {
  const { entry } = props;
  const keys = Object.keys(change) as (keyof BoxEntry)[];
  if (!entry || keys.every((key) => entry[key] === change[key])) return;
  const to = (before: BoxEntry): BoxEntry => ({ ...before, ...change });
  const mergeKey = isTyped ? `${entry.id} ${keys.join(' ')}` : null;
  threads.changeEntries(say.changeEntry(entry.shade.name), new Set([entry.id]), to, mergeKey);
}
const kind = computed(() => threadKind(props.entry?.thread ?? DEFAULT_THREAD));

const grams = ref(1);
const bareGrams = ref(0);
const stepGrams = ref(0.1);
const reading = computed(() => weighed(kind.value, grams.value, bareGrams.value, stepGrams.value));
const scaleSays = ref<string | null>(null);
async function readScale(): Promise<void> {
  const answer = await askScale();
  if (!answer.ok) {
    scaleSays.value = answer.problem;
    return;
  }
  grams.value = answer.value.grams;
  stepGrams.value = answer.value.stepGrams;
  scaleSays.value = say.scaleShows(answer.value.name, answer.value.grams);
}
function takeWeight(): void {
  if (!reading.value.ok) return;
  const round = (m: number): number => Math.round(m * 100) / 100;
  set({ partM: round(reading.value.value.metres), plusMinusM: round(reading.value.value.plusMinusM) });
}
const STEPS = [
  { value: 1, label: '1 g' },
  { value: 0.1, label: '0.1 g' },
  { value: 0.01, label: '0.01 g' },
];
</script>

<template>
  <div v-if="!entry" class="stack">
    <h2>Add thread</h2>
    <ChoiceField
      label="Shade card"
      :value="rangeId"
      :options="threads.ranges.map(({ id, name }) => ({ value: id, label: name }))"
      @change="(id) => (rangeId = id)"
    />
    <NInput
      v-model:value="search"
      size="small"
      clearable
      placeholder="red, pale slate, wd-62…"
      :input-props="{ 'aria-label': 'Search the shade cards' }"
    />
    <ul class="shades">
      <li v-for="one in found" :key="`${one.range.id} ${one.shade.code}`">
        <button type="button" class="plain" :class="{ owned: isOwned(one) }" @click="add(one)">
          <span class="swatch" :style="{ background: one.shade.hex }"></span> {{ one.shade.name }}
          <span class="figure soft small">{{ one.shade.code }}</span>
          <span v-if="one.range !== range" class="soft small">{{ one.range.name }}</span>
          <span v-if="isOwned(one)" class="soft small">in your box</span>
        </button>
      </li>
    </ul>
    <p v-if="found.length === 0" class="small soft">No shade on any card is called that. Try a colour, such as red.</p>
    <p v-if="added.length > 0" class="small" role="status" data-test="added">{{ say.addedThreads(added) }}</p>
    <NButton size="small" :type="added.length > 0 ? 'primary' : 'default'" @click="emit('done')">Done</NButton>
  </div>
  <div v-else class="stack">
    <div class="title">
      <span class="skein" :style="{ background: entry.shade.hex }"></span>
      <div>
        <h2>{{ entry.shade.name }}</h2>
        <p class="soft small">
          {{ say.codeAndLength(entry.shade.code, formatThread(metresOf(entry) * 1000, settings.units)) }}
        </p>
      </div>
    </div>
    <div class="pair">
      <NumberField
        :label="say.wholeOnes(kind.putUp)"
        :value="entry.whole"
        :min="0"
        :max="10000"
        unit=""
        @change="(whole) => set({ whole: Math.round(whole) }, true)"
      />
      <NumberField
        label="Left of the opened one"
        :value="entry.partM"
        :min="0"
        :max="10000"
        :step="0.5"
        unit="m"
        @change="(partM) => set({ partM, plusMinusM: 0 }, true)"
      />
      <ChoiceField label="Kind" :value="entry.thread" :options="KINDS" @change="(thread) => set({ thread })" />
      <label class="field"
        ><span class="label">Dye lot</span
        ><NInput :value="entry.lot" size="small" maxlength="60" @update:value="(lot) => set({ lot }, true)"
      /></label>
      <label class="field"
        ><span class="label">Stored in</span
        ><NInput :value="entry.place" size="small" maxlength="80" @update:value="(place) => set({ place }, true)"
      /></label>
      <NumberField
        label="Price of one"
        :value="entry.price ?? 0"
        :min="0"
        :max="100000"
        :step="0.1"
        unit=""
        @change="(price) => set({ price }, true)"
      />
    </div>
    <label class="field"
      ><span class="label">Note</span
      ><NInput :value="entry.note" size="small" maxlength="500" @update:value="(note) => set({ note }, true)"
    /></label>
    <NCheckbox :checked="entry.handDyed" @update:checked="(handDyed: boolean) => set({ handDyed })"
      >Dyed by hand: no other dye lot matches it</NCheckbox
    >
    <section class="weigh" data-test="weigh">
      <h3>Weigh what is left</h3>
      <div class="pair">
        <NumberField
          label="Weight with bobbin"
          :value="grams"
          :min="0"
          :max="5000"
          :step="stepGrams"
          unit="g"
          @change="(n) => (grams = n)"
        />
        <NumberField
          label="Bobbin alone"
          :value="bareGrams"
          :min="0"
          :max="5000"
          :step="stepGrams"
          unit="g"
          @change="(n) => (bareGrams = n)"
        />
        <ChoiceField
          label="Scale reads in steps of"
          :value="stepGrams"
          :options="STEPS"
          @change="(n) => (stepGrams = n)"
        />
        <div class="field">
          <span class="label">No scale?</span><NButton size="small" @click="readScale">Simulated scale</NButton>
        </div>
      </div>
      <p v-if="scaleSays" class="small soft" role="status">{{ scaleSays }}</p>
      <p v-if="reading.ok" class="small">
        {{
          say.giveOrTake(
            formatThread(reading.value.metres * 1000, settings.units),
            formatThread(reading.value.plusMinusM * 1000, settings.units),
          )
        }}
      </p>
      <p v-else class="small warning" role="alert">{{ reading.problem }}</p>
      <NButton size="small" :disabled="!reading.ok" @click="takeWeight">Save as what is left</NButton>
    </section>
    <section v-if="entry.reserved.length > 0">
      <h3>Reserved</h3>
      <p v-for="item in entry.reserved" :key="item.piece" class="row small">
        {{ say.reservedFor(formatThread(item.metres * 1000, settings.units), item.name) }}
        <NButton size="tiny" quaternary @click="set({ reserved: entry.reserved.filter((other) => other !== item) })"
          >Release</NButton
        >
      </p>
    </section>
    <NButton size="small" @click="emit('remove')">Remove from the box</NButton>
  </div>
</template>

<style scoped>
.title {
  display: flex;
  gap: 14px;
  align-items: center;
}
.skein {
  flex: none;
  width: 62px;
  height: 30px;
  border-radius: 15px;
  box-shadow: inset 0 -5px 7px -4px rgb(0 0 0 / 35%);
}
.weigh {
  display: grid;
  gap: 8px;
}
.shades {
  list-style: none;
  margin: 0;
  padding: 0;
  max-height: 52vh;
  overflow-y: auto;
}
.shades button {
  display: flex;
  gap: 9px;
  align-items: center;
  width: 100%;
  padding: 4px 6px;
  border-radius: 5px;
}
.shades button:hover {
  background: var(--linen-deep);
}
</style>
