<script setup lang="ts">
import { plural } from '@junctura/core/measure';
import type { RecordEntry } from '@junctura/core/piece';
import { NButton } from 'naive-ui';
import { computed, ref } from 'vue';
import { useOpenedPiece } from '../../session/openedPiece.ts';
import { useRecord } from '../../session/record.ts';
import { useWorkSoFar } from '../../session/workSoFar.ts';

/** The record, newest first: each entry can be taken back, and stays readable. */
const opened = useOpenedPiece();
const record = useRecord();
const work = useWorkSoFar();

const SHOWN = 30;
const showsAll = ref(false);
const voided = computed(
  () => new Set(record.entries.flatMap((entry) => (entry.type === 'voided' ? [entry.entry] : []))),
);
const rows = computed(() =>
  [...record.entries]
    .filter(({ type }) => type !== 'voided')
    .sort((a, b) => b.at.localeCompare(a.at) || b.id.localeCompare(a.id)),
);
const when = (at: string): string =>
  new Intl.DateTimeFormat('en', { dateStyle: 'medium', timeStyle: 'short' }).format(new Date(at));

const names = computed(() => new Map(work.plan?.order.map((step) => [step.key, step])));
function stepName(key: string): string {
  const step = names.value.get(key) ?? null;
  return step ? `${work.nameOf(step)}, ${work.stitchName(step).toLowerCase()}` : 'a step that is gone';
}
const partName = (part: string): string => opened.nameOf(part) || 'a part that is gone';
function words(entry: RecordEntry): string {
  switch (entry.type) {
    case 'part-done':
      return `Worked: ${partName(entry.part)}`;
    case 'thread-used':
      return `Thread used: ${partName(entry.part)}, ${(entry.usedMm / 1000).toFixed(2)} m`;
    case 'sitting-begun':
      return entry.needles === null ? 'Sitting begun' : `Sitting begun, ${plural(entry.needles, 'needle')} out`;
    case 'sitting-ended':
      return entry.needles === null ? 'Sitting ended' : `Sitting ended, ${plural(entry.needles, 'needle')} in`;
    case 'step-done':
      return `Done: ${stepName(entry.step)}`;
    case 'portion-done':
      return `${Math.round(entry.share * 100)} % done: ${stepName(entry.step)}`;
    case 'step-later':
      return `Left for later: ${stepName(entry.step)}`;
    case 'unpicked':
      return `Unpicked: ${stepName(entry.step)}`;
    case 'length-taken':
      return 'A new length on the needle';
    case 'look-again':
      return `To look at again: ${stepName(entry.step)}${entry.text ? ` (${entry.text})` : ''}`;
    case 'looked-at':
      return 'Looked at again';
    case 'long-gap':
      return entry.stitched ? 'A long time without a tap: stitched' : 'A long time without a tap: away';
    case 'cloth-mounted':
      return 'Cloth mounted';
    case 'cloth-taken-off':
      return 'Cloth taken off the ring';
    case 'mark-redrawn':
      return 'Mark drawn anew';
    case 'break-taken':
      return 'A break';
    case 'finish-done':
      return `Finishing: ${entry.act.replaceAll('-', ' ')}`;
    case 'piece-ended':
      return entry.text ? `Finished: ${entry.text}` : 'Finished';
    case 'photographed':
      return 'A photograph taken';
    case 'note':
      return entry.text;
    case 'voided':
      return '';
  }
}
</script>

<template>
  <ul class="record small" data-test="record">
    <li v-for="entry in showsAll ? rows : rows.slice(0, SHOWN)" :key="entry.id" :class="{ gone: voided.has(entry.id) }">
      <span class="soft figure">{{ when(entry.at) }}</span>
      <span class="words">{{ words(entry) }}<span v-if="voided.has(entry.id)"> (taken back)</span></span>
      <NButton v-if="!voided.has(entry.id)" size="tiny" @click="work.takeBackEntry(entry.id)">Take back</NButton>
    </li>
  </ul>
  <NButton v-if="rows.length > SHOWN && !showsAll" size="small" @click="showsAll = true"
    >All {{ rows.length }} entries</NButton
  >
</template>

<style scoped>
.record {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 3px;
}
li {
  display: grid;
  grid-template-columns: 130px 1fr auto;
  gap: 8px;
  align-items: baseline;
}
.gone .words {
  text-decoration: line-through;
  color: var(--ink-faint);
}
</style>
