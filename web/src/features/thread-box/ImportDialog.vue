<script setup lang="ts">
import {
  COLUMNS,
  metresOf,
  type Column,
  type Joining,
  type MatchedColumns,
  type ReadList,
} from '@junctura/core/materials';
import { formatThread, type Outcome } from '@junctura/core/measure';
import { NButton } from 'naive-ui';
import { computed } from 'vue';
import { useSettings } from '../../session/settings.ts';
import ChoiceField from '../../ui/ChoiceField.vue';
import TheDialog from '../../ui/TheDialog.vue';
import { countRows } from './useBoxFiles.ts';
import * as say from './words.ts';

/** A list before it is added: what becomes of each row and why, and what only the person knows. */
const props = defineProps<{
  name: string;
  read: Outcome<ReadList>;
  joining: Joining | null;
  matched: MatchedColumns;
  owned: 'add' | 'replace';
  doubtful: 'skeins' | 'metres';
}>();
defineEmits<{
  match: [heading: string, column: Column | null];
  owned: [owned: 'add' | 'replace'];
  doubtful: [doubtful: 'skeins' | 'metres'];
  add: [];
  close: [];
}>();
const settings = useSettings();
/** Columns that the person sees to here: those that were not known when the list was opened. */
const asked = props.read.ok ? props.read.value.unknown : [];
const NONE = '';
const OPTIONS = [
  { value: NONE, label: 'Left out' },
  ...(Object.keys(COLUMNS) as Column[]).map((column) => ({ value: column, label: say.COLUMN_NAMES[column] })),
];
const MOST_SHOWN = 300;
const amountOf = (metres: number): string | null => (metres > 0 ? formatThread(metres * 1000, settings.units) : null);
const list = computed(() => (props.read.ok ? props.read.value : null));
const doubts = computed(() => list.value?.rows.filter(({ doubt }) => doubt !== null).length ?? 0);
const joined = computed(() => props.joining?.rows.some(({ became }) => became === 'joined') === true);
const rows = computed(() => {
  const became = new Map(props.joining?.rows.map(({ row, became: what }) => [row.line, what]));
  const good = list.value?.rows ?? [];
  const all = [
    ...good.map(({ line, entry, notes }) => ({
      line,
      text: props.joining ? say.shadeAndAmount(entry.shade.name, amountOf(metresOf(entry))) : entry.shade.name,
      became: say.BECAME[became.get(line) ?? 'added'],
      notes,
      isOut: false,
    })),
    ...(list.value?.leftOut ?? []).map(({ line, text, why }) => ({
      line,
      text,
      became: 'left out',
      notes: [why],
      isOut: true,
    })),
  ];
  // What needs a look comes first.
  return all.sort((a, b) => Number(b.notes.length > 0) - Number(a.notes.length > 0) || a.line - b.line);
});
const summary = computed(() => {
  if (!list.value) return '';
  const { leftOut } = list.value;
  return props.joining
    ? say.listRead(countRows(props.joining, leftOut.length))
    : say.shadesRead(list.value.rows.length, leftOut.length);
});
</script>

<template>
  <TheDialog :title="say.importList(name)" width="620px" stays-open @close="$emit('close')">
    <div class="stack" data-test="import">
      <p v-if="!read.ok" class="warning" role="alert">{{ read.problem }}</p>
      <p v-else role="status">{{ summary }}</p>
      <fieldset v-if="asked.length > 0" class="columns">
        <legend>Columns that Junctura doesn’t know</legend>
        <ChoiceField
          v-for="heading in asked"
          :key="heading"
          :label="say.columnIs(heading)"
          :value="matched[heading] ?? NONE"
          :options="OPTIONS"
          @change="(column) => $emit('match', heading, column === NONE ? null : (column as Column))"
        />
      </fieldset>
      <ChoiceField
        v-if="joined"
        label="Thread that is in your box already"
        :value="owned"
        :options="[
          { value: 'add', label: 'Add the list to it' },
          { value: 'replace', label: 'Replace its amount by the list’s' },
        ]"
        @change="(value) => $emit('owned', value as 'add' | 'replace')"
      />
      <ChoiceField
        v-if="doubts > 0"
        :label="say.skeinsOrMetres(doubts)"
        :value="doubtful"
        :options="[
          { value: 'skeins', label: 'The skeins' },
          { value: 'metres', label: 'The metres' },
        ]"
        @change="(value) => $emit('doubtful', value as 'skeins' | 'metres')"
      />
      <div class="rows" tabindex="0" aria-label="Rows of the list">
        <table>
          <tbody>
            <tr v-for="row in rows.slice(0, MOST_SHOWN)" :key="row.line" :class="{ out: row.isOut }">
              <th scope="row" class="figure soft">{{ say.lineNumber(row.line) }}</th>
              <td>
                {{ row.text }}
                <span v-for="note in row.notes" :key="note" class="note small">{{ note }}</span>
              </td>
              <td class="soft small">{{ row.became }}</td>
            </tr>
          </tbody>
        </table>
      </div>
      <p v-if="rows.length > MOST_SHOWN" class="small soft">{{ say.moreRows(rows.length - MOST_SHOWN) }}</p>
      <div class="row">
        <NButton type="primary" :disabled="!read.ok" data-test="add-list" @click="$emit('add')">{{
          joining ? 'Add to my box' : 'Add the shade card'
        }}</NButton>
        <NButton @click="$emit('close')">Cancel</NButton>
      </div>
    </div>
  </TheDialog>
</template>

<style scoped>
.columns {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(170px, 1fr));
  gap: 8px 14px;
  margin: 0;
  border: 1px solid var(--chalk);
  border-radius: 6px;
}
.rows {
  max-height: 40vh;
  overflow: auto;
  border-top: 1px solid var(--chalk);
  border-bottom: 1px solid var(--chalk);
}
th {
  text-align: start;
  font-weight: normal;
  white-space: nowrap;
  padding-inline-end: 12px;
  vertical-align: top;
}
td {
  padding-block: 3px;
  overflow-wrap: anywhere;
  vertical-align: top;
}
td:last-child {
  text-align: end;
}
.note {
  display: block;
  color: var(--warning-ink, var(--ink));
}
.out {
  opacity: 0.85;
}
</style>
