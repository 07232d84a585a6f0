<script setup lang="ts">
import { freeM, isLow, isShort, metresOf, reservedM, threadKind, type BoxEntry } from '@junctura/core/materials';
import { formatThread } from '@junctura/core/measure';
import { ArrowDown, ArrowUp, Redo2, Undo2 } from '@lucide/vue';
import { useEventListener, useVirtualList } from '@vueuse/core';
import { NAlert, NButton, NDropdown, NInput } from 'naive-ui';
import { computed, defineAsyncComponent, ref, watch } from 'vue';
import { RouterLink } from 'vue-router';
import BoxBulkCard from '../components/BoxBulkCard.vue';
import BoxEntryCard from '../components/BoxEntryCard.vue';
import ChoiceField from '../components/ChoiceField.vue';
import SettingsMenu from '../components/SettingsMenu.vue';
import { useBoxFiles } from '../composables/useBoxFiles.ts';
import { isTyping, useUndoKeys } from '../composables/useUndoKeys.ts';
import { useSettings } from '../stores/settings.ts';
import { useThreadBox } from '../stores/threadBox.ts';

const PhotoColours = defineAsyncComponent(() => import('../components/PhotoColours.vue'));

/** The thread box: what a person owns, found, sorted, changed one by one or many at once. */
const threads = useThreadBox();
const settings = useSettings();
void threads.load();

const search = ref('');
const show = ref<'all' | 'low' | 'short' | 'reserved'>('all');
const SHOWS = [
  { value: 'all', label: 'Everything' },
  { value: 'low', label: 'Running low' },
  { value: 'short', label: 'Short of what is reserved' },
  { value: 'reserved', label: 'Reserved for pieces' },
] as const;
const rangeName = computed(() => new Map(threads.ranges.map(({ id, name }) => [id, name])));

const COLUMNS = [
  { id: 'name', label: 'Shade' },
  { id: 'range', label: 'Card' },
  { id: 'kind', label: 'Kind' },
  { id: 'lot', label: 'Lot' },
  { id: 'amount', label: 'There is' },
  { id: 'free', label: 'Free' },
  { id: 'place', label: 'Kept in' },
] as const;
type Column = (typeof COLUMNS)[number]['id'];
const sortBy = ref<Column>('name');
const isRising = ref(true);
function sort(column: Column): void {
  isRising.value = sortBy.value === column ? !isRising.value : true;
  sortBy.value = column;
}
const KEYS: Readonly<Record<Column, (entry: BoxEntry) => string | number>> = {
  name: ({ shade }) => shade.name.toLowerCase(),
  range: ({ shade }) => rangeName.value.get(shade.range) ?? shade.range,
  kind: ({ thread }) => threadKind(thread)!.name,
  lot: ({ lot }) => lot,
  amount: metresOf,
  free: (entry) => freeM(entry),
  place: ({ place }) => place,
};
const SHOWN: Readonly<Record<typeof show.value, (entry: BoxEntry) => boolean>> = {
  all: () => true,
  low: isLow,
  short: isShort,
  reserved: ({ reserved }) => reserved.length > 0,
};

/** What each entry is found by; made once for each. */
const texts = computed(
  () =>
    new Map(
      threads.box.entries.map((entry) => {
        const { shade, lot, place, thread } = entry;
        const words = [shade.name, shade.code, rangeName.value.get(shade.range), lot, place, threadKind(thread)!.name];
        return [entry.id, words.join(' ').toLowerCase()];
      }),
    ),
);
/** Sorted once for all searches. */
const sorted = computed(() => {
  const key = KEYS[sortBy.value];
  const way = isRising.value ? 1 : -1;
  return threads.box.entries
    .map((entry) => ({ entry, key: key(entry) }))
    .sort((a, b) => (a.key < b.key ? -way : a.key > b.key ? way : 0))
    .map(({ entry }) => entry);
});
const found = computed(() => {
  const words = search.value.toLowerCase().split(/\s+/).filter(Boolean);
  const isShown = SHOWN[show.value];
  return sorted.value.filter(
    (entry) => isShown(entry) && words.every((word) => texts.value.get(entry.id)!.includes(word)),
  );
});
const ROW_PX = 42;
const { list, containerProps, wrapperProps, scrollTo } = useVirtualList(found, { itemHeight: ROW_PX, overscan: 6 });
watch([search, show, sortBy, isRising], () => scrollTo(0));

const picked = ref<ReadonlySet<string>>(new Set());
let lastPicked: string | null = null;
/** A press picks one, with Control one more, with Shift all up to it. */
function pick(entry: BoxEntry, event: MouseEvent | KeyboardEvent): void {
  const ids = found.value.map(({ id }) => id);
  if (event.shiftKey && lastPicked !== null) {
    const [from, to] = [ids.indexOf(lastPicked), ids.indexOf(entry.id)].sort((a, b) => a - b);
    picked.value = new Set(ids.slice(from, to! + 1));
    return;
  }
  const isMore = event.ctrlKey || event.metaKey;
  const next = new Set(isMore ? picked.value : []);
  if (isMore && next.has(entry.id)) next.delete(entry.id);
  else next.add(entry.id);
  picked.value = next;
  lastPicked = entry.id;
}
function tick(entry: BoxEntry): void {
  const next = new Set(picked.value);
  if (next.has(entry.id)) next.delete(entry.id);
  else next.add(entry.id);
  picked.value = next;
  lastPicked = entry.id;
}
const pickedEntries = computed(() => threads.box.entries.filter(({ id }) => picked.value.has(id)));
const areAllPicked = computed(() => found.value.length > 0 && found.value.every(({ id }) => picked.value.has(id)));
function pickAll(): void {
  picked.value = areAllPicked.value ? new Set() : new Set(found.value.map(({ id }) => id));
}
function remove(): void {
  const ids = picked.value;
  const entries = threads.box.entries.filter(({ id }) => !ids.has(id));
  threads.change(ids.size === 1 ? 'Take an entry out' : `Take ${ids.size} entries out`, { ...threads.box, entries });
  picked.value = new Set();
}

const files = useBoxFiles(() => (pickedEntries.value.length > 0 ? pickedEntries.value : found.value));
const isPhoto = ref(false);
const isAdding = ref(false);
const MENU = [
  { key: 'bring', label: 'Bring in a list or card (CSV, GPL)…' },
  { key: 'csv', label: 'Export as CSV' },
  { key: 'gpl', label: 'Export the shades as a GPL palette' },
  { key: 'photo', label: 'Read colours off a photograph…' },
  { key: 'empty', label: 'Empty the box' },
];
function menu(key: string): void {
  if (key === 'bring') files.choose();
  else if (key === 'csv') files.exportCsv();
  else if (key === 'gpl') files.exportGpl();
  else if (key === 'photo') isPhoto.value = true;
  else threads.change('Empty the box', { ...threads.box, entries: [] });
}

useUndoKeys(threads.undo, threads.redo);
useEventListener(window, 'keydown', (event: KeyboardEvent) => {
  if (isTyping(event)) return;
  if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'a') {
    event.preventDefault();
    pickAll();
  } else if (event.key === 'Escape') picked.value = new Set();
  else if (event.key === 'Delete' && picked.value.size > 0) remove();
});

function amount(entry: BoxEntry): string {
  const { whole, partM, plusMinusM, thread } = entry;
  const { putUp } = threadKind(thread)!;
  const skeins = whole > 0 ? `${whole} ${putUp}${whole === 1 ? '' : 's'}` : '';
  const part = partM > 0 ? formatThread(partM * 1000, settings.units) : '';
  const about = plusMinusM > 0 ? ` ± ${formatThread(plusMinusM * 1000, settings.units)}` : '';
  return [skeins, part && part + about].filter(Boolean).join(', ') || 'used up';
}
const total = computed(() => threads.box.entries.reduce((sum, entry) => sum + metresOf(entry), 0));
</script>

<template>
  <div class="threads">
    <header class="head">
      <RouterLink to="/" class="home" title="Back to the bench">Junctura</RouterLink>
      <h1>Thread box</h1>
      <span class="soft small"
        >{{ threads.box.entries.length.toLocaleString('en') }} entries,
        {{ formatThread(total * 1000, settings.units) }}</span
      >
      <div class="actions">
        <NButton
          quaternary
          size="small"
          :disabled="!threads.undoLabel"
          :title="threads.undoLabel ? `Undo: ${threads.undoLabel}` : 'Nothing to undo'"
          aria-label="Undo"
          @click="threads.undo"
          ><Undo2 :size="19"
        /></NButton>
        <NButton quaternary size="small" :disabled="!threads.redoLabel" aria-label="Do again" @click="threads.redo"
          ><Redo2 :size="19"
        /></NButton>
        <NButton
          size="small"
          type="primary"
          @click="
            isAdding = true;
            picked = new Set();
          "
          >Add thread</NButton
        >
        <NDropdown trigger="click" :options="MENU" @select="menu"><NButton size="small">File</NButton></NDropdown>
        <SettingsMenu />
      </div>
    </header>
    <div class="notices">
      <NAlert v-if="threads.problem" type="warning" :show-icon="false">{{ threads.problem }}</NAlert>
      <NAlert v-if="threads.conflict" type="warning" :show-icon="false">
        The box was changed in another tab, so this tab’s changes are not kept yet.
        <NButton size="tiny" @click="threads.settleConflict(false)">Take the other tab’s</NButton>
        <NButton size="tiny" @click="threads.settleConflict(true)">Keep mine</NButton>
      </NAlert>
      <NAlert v-if="files.problem.value" type="error" :show-icon="false" closable @close="files.problem.value = null">{{
        files.problem.value
      }}</NAlert>
      <NAlert v-if="files.told.value" type="info" :show-icon="false" closable @close="files.told.value = null">{{
        files.told.value
      }}</NAlert>
    </div>

    <main class="work">
      <section class="list" aria-label="What you own">
        <div class="find">
          <NInput
            v-model:value="search"
            size="small"
            clearable
            placeholder="Search: slate, wd-62, tin, lot…"
            :input-props="{ 'aria-label': 'Search the thread box' }"
          />
          <ChoiceField label="Show" :value="show" :options="SHOWS" @change="(value) => (show = value)" />
        </div>
        <div class="row-grid heads">
          <span
            ><input type="checkbox" :checked="areAllPicked" aria-label="Pick all that are shown" @change="pickAll"
          /></span>
          <button
            v-for="column in COLUMNS"
            :key="column.id"
            type="button"
            class="plain small"
            :aria-label="`Sort by ${column.label}`"
            :aria-pressed="sortBy === column.id"
            @click="sort(column.id)"
          >
            {{ column.label }}<component :is="isRising ? ArrowUp : ArrowDown" v-if="sortBy === column.id" :size="13" />
          </button>
        </div>
        <div v-if="threads.isLoaded && threads.box.entries.length === 0" class="empty">
          <h2>Nothing in the box yet</h2>
          <p class="soft">
            Put in what you own, shade by shade, or bring in a list: a CSV file with a heading such as name, code, hex,
            skeins, metres, lot. Junctura then chooses from your own threads first, and says when they will run out.
          </p>
          <div class="row">
            <NButton type="primary" size="small" @click="isAdding = true">Add thread</NButton>
            <NButton size="small" @click="files.choose">Bring in a list</NButton>
          </div>
        </div>
        <p v-else-if="threads.isLoaded && found.length === 0" class="empty soft">
          Nothing in your box is called that. Try a tone, a code, a place, or show everything.
        </p>
        <div v-bind="containerProps" class="rows" data-test="box-rows" tabindex="0" aria-label="Entries">
          <div v-bind="wrapperProps">
            <div
              v-for="{ data: entry } in list"
              :key="entry.id"
              class="row-grid entry"
              :class="{ picked: picked.has(entry.id) }"
              data-test="box-row"
              @click="pick(entry, $event)"
            >
              <span @click.stop
                ><input
                  type="checkbox"
                  :checked="picked.has(entry.id)"
                  :aria-label="`Pick ${entry.shade.name}`"
                  @change="tick(entry)"
              /></span>
              <button type="button" class="plain shade" @click.stop="pick(entry, $event)">
                <span class="swatch" :style="{ background: entry.shade.hex }"></span>
                <span class="cut"
                  >{{ entry.shade.name }} <span class="figure soft small">{{ entry.shade.code }}</span></span
                >
              </button>
              <span class="cut soft">{{ rangeName.get(entry.shade.range) ?? entry.shade.range }}</span>
              <span class="cut soft">{{ threadKind(entry.thread)?.name }}</span>
              <span class="cut">{{ entry.lot }}<template v-if="entry.handDyed"> · by hand</template></span>
              <span class="cut figure">{{ amount(entry) }}</span>
              <span class="cut figure" :class="{ warning: isShort(entry) }">{{
                reservedM(entry) > 0 ? formatThread(freeM(entry) * 1000, settings.units) : ''
              }}</span>
              <span class="cut soft">{{ entry.place }}</span>
            </div>
          </div>
        </div>
      </section>
      <aside class="card" aria-label="The card">
        <BoxEntryCard v-if="isAdding" :entry="null" @done="isAdding = false" />
        <BoxEntryCard
          v-else-if="pickedEntries.length === 1"
          :key="pickedEntries[0]!.id"
          :entry="pickedEntries[0]!"
          @remove="remove"
        />
        <BoxBulkCard v-else-if="pickedEntries.length > 1" :entries="pickedEntries" @remove="remove" />
        <div v-else class="stack">
          <h2>Pick a thread</h2>
          <p class="soft">
            Press on an entry to see and change it. With Control pick several, with Shift a stretch, and change them
            together.
          </p>
          <p class="soft small">
            Thrumwick, Eiderlight and Scourwhite are invented ranges; your own cards stand beside them.
          </p>
          <template v-if="threads.box.cards.length > 0">
            <h3>Your own cards</h3>
            <ul class="cards">
              <li v-for="card in threads.box.cards" :key="card.id">
                <span class="strip"
                  ><span
                    v-for="shade in card.shades.slice(0, 24)"
                    :key="shade.code"
                    :style="{ background: shade.hex }"
                  ></span
                ></span>
                <span
                  >{{ card.name }} <span class="soft small">{{ card.shades.length }} shades</span></span
                >
                <span class="row">
                  <NButton size="tiny" @click="files.exportCard(card)">As GPL</NButton>
                  <NButton
                    size="tiny"
                    quaternary
                    @click="
                      threads.change('Remove a card', {
                        ...threads.box,
                        cards: threads.box.cards.filter((other) => other.id !== card.id),
                      })
                    "
                    >Remove</NButton
                  >
                </span>
              </li>
            </ul>
          </template>
        </div>
      </aside>
    </main>
    <PhotoColours v-if="isPhoto" @close="isPhoto = false" />
  </div>
</template>

<style scoped>
.threads {
  height: 100%;
  display: grid;
  grid-template-rows: auto auto minmax(0, 1fr);
}
.head {
  display: flex;
  align-items: center;
  gap: 16px;
  padding: 8px 18px;
  border-bottom: 1px solid var(--chalk);
  background: var(--paper);
}
h1 {
  font-size: 21px;
}
.actions {
  display: flex;
  gap: 6px;
  align-items: center;
  margin-left: auto;
}
.work {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 352px;
  min-height: 0;
}
.list {
  display: grid;
  grid-template-rows: auto auto minmax(0, 1fr);
  min-height: 0;
  padding: 12px 0 0 18px;
}
.find {
  display: grid;
  grid-template-columns: minmax(160px, 340px) 220px;
  gap: 16px;
  align-items: end;
  padding-bottom: 10px;
}
.row-grid {
  display: grid;
  grid-template-columns:
    26px minmax(150px, 2.2fr) minmax(0, 0.9fr) minmax(0, 1.1fr) minmax(0, 0.9fr) minmax(0, 1.3fr)
    minmax(0, 0.6fr) minmax(0, 0.9fr);
  gap: 10px;
  align-items: center;
  padding-right: 18px;
}
.heads {
  border-bottom: 1px solid var(--chalk);
  padding-bottom: 5px;
  color: var(--ink-soft);
}
.heads button {
  display: flex;
  gap: 3px;
  align-items: center;
  min-height: 24px;
}
.rows {
  grid-row: 3;
  outline-offset: -2px;
  contain: strict;
}
.entry {
  height: 42px;
  contain: layout paint style;
  border-bottom: 1px solid color-mix(in srgb, var(--chalk) 50%, transparent);
  cursor: pointer;
}
.entry:hover {
  background: var(--linen-deep);
}
.entry.picked {
  background: color-mix(in srgb, var(--madder) 12%, var(--linen));
}
.shade {
  display: flex;
  gap: 9px;
  align-items: center;
  min-width: 0;
}
.cut {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
input[type='checkbox'] {
  width: 18px;
  height: 18px;
  accent-color: var(--madder);
}
.empty {
  grid-row: 3;
  padding: 40px 0;
  max-width: 56ch;
  display: grid;
  gap: 12px;
  align-content: start;
}
.card {
  overflow-y: auto;
  padding: 18px 22px 32px;
  background: var(--paper);
  border-left: 1px solid var(--chalk);
}
.cards {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 14px;
}
.cards li {
  display: grid;
  gap: 3px;
}
.strip {
  display: flex;
  height: 20px;
  border-radius: 5px;
  overflow: hidden;
}
.strip span {
  flex: 1;
}
@media (max-width: 1000px) {
  .work {
    grid-template-columns: minmax(0, 1fr) 290px;
  }
  .find {
    grid-template-columns: 1fr 1fr;
    padding-right: 16px;
  }
  .row-grid {
    grid-template-columns: 26px minmax(130px, 2fr) minmax(0, 0.7fr) minmax(0, 1.2fr) minmax(0, 0.8fr);
    gap: 8px;
  }
  /* Card, kind and what is free are on the card of the entry. */
  .row-grid > :nth-child(3),
  .row-grid > :nth-child(4),
  .row-grid > :nth-child(7) {
    display: none;
  }
}
</style>
