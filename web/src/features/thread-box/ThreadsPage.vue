<script setup lang="ts">
import { metresOf } from '@junctura/core/materials';
import { formatThread } from '@junctura/core/measure';
import { useEventListener } from '@vueuse/core';
import { saveFile } from '../../keeping/files.ts';
import { NAlert, NButton } from 'naive-ui';
import { computed, ref } from 'vue';
import { RouterLink } from 'vue-router';
import BoxBulkCard from './BoxBulkCard.vue';
import BoxEntryCard from './BoxEntryCard.vue';
import ImportDialog from './ImportDialog.vue';
import BoxList from './BoxList.vue';
import OwnCards from './OwnCards.vue';
import TabRow from '../../ui/TabRow.vue';
import MenuButton from '../../ui/MenuButton.vue';
import UndoButtons from '../../ui/UndoButtons.vue';
import SettingsMenu from '../../session/SettingsMenu.vue';
import { useBoxFiles } from './useBoxFiles.ts';
import { useBoxSearch } from './useBoxSearch.ts';
import { usePicking } from './usePicking.ts';
import { isTyping, useUndoKeys } from '../../ui/useUndoKeys.ts';
import { NONE, useOpenedPiece } from '../../session/openedPiece.ts';
import { useSettings } from '../../session/settings.ts';
import { useThreadBox } from '../../session/threadBox.ts';
import * as say from './words.ts';
import { comesLater } from '../../ui/comesLater.ts';

const WorkBasket = comesLater(() => import('./WorkBasket.vue'));
const TABS = [
  { id: 'threads', name: 'Thread' },
  { id: 'basket', name: 'Workbasket' },
] as const;
const shown = ref<(typeof TABS)[number]['id']>('threads');
const PhotoColours = comesLater(() => import('./PhotoColours.vue'));

/** The thread box: what a person owns, found, sorted, changed one by one or many at once. */
const threads = useThreadBox();
const settings = useSettings();
void threads.load();

const opened = useOpenedPiece();
const search = useBoxSearch();
const picking = usePicking(search.found);
const { picked } = picking;
const pickedEntries = computed(() => threads.box.entries.filter(({ id }) => picked.value.has(id)));
function remove(): void {
  const ids = picked.value;
  const entries = threads.box.entries.filter(({ id }) => !ids.has(id));
  threads.change(say.removeEntries(ids.size), { ...threads.box, entries });
  picked.value = new Set();
}

const files = useBoxFiles(() => (pickedEntries.value.length > 0 ? pickedEntries.value : search.found.value));
const isPhoto = ref(false);
const isAdding = ref(false);
const MENU = [
  { key: 'bring', label: 'Import a list or shade card (CSV, GPL)…' },
  { key: 'csv', label: 'Export as CSV' },
  { key: 'gpl', label: 'Export the shades as a GPL palette' },
  { key: 'photo', label: 'Read colours from a photograph…' },
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
    picking.pickAll();
  } else if (event.key === 'Escape') picked.value = new Set();
  else if (event.key === 'Delete' && picked.value.size > 0) remove();
});

const total = computed(() => threads.box.entries.reduce((sum, entry) => sum + metresOf(entry), 0));

function exportDamaged(): void {
  saveFile('thread-box-damaged.json', JSON.stringify(threads.damaged?.value, null, 1), 'application/json');
}
</script>

<template>
  <div class="threads">
    <header class="head">
      <RouterLink to="/" class="home" title="Back to the bench">Junctura</RouterLink>
      <RouterLink
        v-if="opened.piece.id !== NONE"
        :to="{ name: 'piece', params: { id: opened.piece.id, step: 'colours' } }"
        class="small"
        >{{ say.backToPiece(opened.piece.name) }}</RouterLink
      >
      <h1>{{ shown === 'threads' ? 'Thread box' : 'Workbasket' }}</h1>
      <TabRow label="What you own" :tabs="TABS" :here="shown" @pick="(id) => (shown = id)" />
      <span v-if="shown === 'threads' && threads.box.entries.length > 0" class="soft small">{{
        say.entriesAndLength(threads.box.entries.length, formatThread(total * 1000, settings.units))
      }}</span>
      <div class="actions">
        <UndoButtons :of="threads" />
        <NButton
          size="small"
          type="primary"
          @click="
            isAdding = true;
            picked = new Set();
          "
          >Add thread</NButton
        >
        <MenuButton :options="MENU" @select="menu">File</MenuButton>
        <SettingsMenu />
      </div>
    </header>
    <div class="notices">
      <NAlert v-if="threads.problem" type="warning" :show-icon="false"
        >{{ threads.problem }}
        <NButton v-if="threads.damaged" size="tiny" @click="exportDamaged">Save the old box to a file</NButton></NAlert
      >
      <NAlert v-if="threads.conflict" type="warning" :show-icon="false">
        The box was changed in another tab, so the changes in this tab are not saved yet.
        <NButton size="tiny" type="primary" @click="threads.settleConflict('both')">Put both together</NButton>
        <NButton size="tiny" @click="threads.settleConflict('theirs')">Use the other tab’s version</NButton>
        <NButton size="tiny" @click="threads.settleConflict('mine')">Keep this tab’s version</NButton>
      </NAlert>
      <p v-if="threads.examples > 0" class="examples small" data-test="examples">
        {{ say.examples(threads.examples) }}
        <button type="button" class="plain link" @click="threads.takeOutExamples">Remove the examples</button>
      </p>
      <NAlert v-if="files.problem.value" type="error" :show-icon="false" closable @close="files.problem.value = null">{{
        files.problem.value
      }}</NAlert>
      <NAlert v-if="files.told.value" type="info" :show-icon="false" closable @close="files.told.value = null">{{
        files.told.value
      }}</NAlert>
    </div>

    <ImportDialog
      v-if="files.list.value && files.read.value"
      :name="files.list.value.name"
      :read="files.read.value"
      :joining="files.joining.value"
      :matched="files.matched.value"
      :owned="files.ways.value.owned"
      :doubtful="files.ways.value.doubtful"
      @match="(heading, column) => (files.matched.value = { ...files.matched.value, [heading]: column })"
      @owned="(owned) => (files.ways.value = { ...files.ways.value, owned })"
      @doubtful="(doubtful) => (files.ways.value = { ...files.ways.value, doubtful })"
      @add="files.put"
      @close="files.list.value = null"
    />
    <main v-if="shown === 'basket'" class="basket-main"><WorkBasket /></main>
    <main v-else class="work">
      <BoxList :search="search" :picking="picking">
        <h2>Your thread box is empty</h2>
        <p class="soft">
          Add the threads you own one by one, or import a list: a CSV file with headings such as name, code, hex,
          skeins, metres, lot. Junctura then uses your own threads first and tells you when they will run out.
        </p>
        <div class="row">
          <NButton type="primary" size="small" @click="isAdding = true">Add thread</NButton>
          <NButton size="small" @click="files.choose">Import a list</NButton>
          <NButton v-if="threads.examples === 0" size="small" data-test="lay-in" @click="threads.layInExamples"
            >Add examples</NButton
          >
        </div>
      </BoxList>
      <aside class="card" aria-label="Details">
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
            Press an entry to see and change it. Select several with Ctrl, or a run of them with Shift, to change them
            together.
          </p>
          <p class="soft small">
            Thrumwick, Eiderlight and Scourwhite are invented thread ranges; your own shade cards stand beside them.
          </p>
          <OwnCards v-if="threads.box.cards.length > 0" @write="files.exportCard" />
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

.examples {
  padding: 6px 18px;
  background: var(--linen);
  border-bottom: 1px solid var(--chalk);
}
.basket-main {
  display: grid;
  min-height: 0;
}
.work {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 352px;
  min-height: 0;
}
.card {
  overflow-y: auto;
  padding: 18px 22px 32px;
  background: var(--paper);
  border-left: 1px solid var(--chalk);
}
@media (max-width: 1000px) {
  .work {
    grid-template-columns: minmax(0, 1fr) 290px;
  }
}
@media (max-width: 700px) {
  .threads {
    height: auto;
    min-height: 100%;
  }
  .head {
    flex-wrap: wrap;
    gap: 8px 12px;
  }
  .actions {
    margin-left: 0;
    flex-wrap: wrap;
  }
  .work {
    grid-template-columns: minmax(0, 1fr);
  }
  .card {
    border-left: 0;
    border-top: 1px solid var(--chalk);
  }
}
</style>
