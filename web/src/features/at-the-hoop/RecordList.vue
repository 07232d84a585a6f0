<script setup lang="ts">
import { aheadMs } from '@junctura/core/log';
import { stitchOfStep } from '@junctura/core/order';
import { formatMoment, formatThread } from '@junctura/core/measure';
import type { RecordEntry } from '@junctura/core/piece';
import { NButton } from 'naive-ui';
import { computed, ref } from 'vue';
import { useOpenedPiece } from '../../session/openedPiece.ts';
import { useFinishing } from '../../session/finishing.ts';
import { useRecord } from '../../session/record.ts';
import { useSettings } from '../../session/settings.ts';
import { useWorkSoFar } from '../../session/workSoFar.ts';
import * as say from './words.ts';

/** The record, newest first: each entry can be taken back, and stays readable. */
const opened = useOpenedPiece();
const record = useRecord();
const settings = useSettings();
const work = useWorkSoFar();
const finishing = useFinishing();
if (record.entries.some(({ type }) => type === 'finish-done')) finishing.want();

const SHOWN = 30;
const showsAll = ref(false);
const voided = computed(
  () => new Set(record.entries.flatMap((entry) => (entry.type === 'voided' ? [entry.entry] : []))),
);
const rows = computed(() => record.entries.filter(({ type }) => type !== 'voided').reverse());
/** What was noted by a clock that is ahead counts; it is said, so that nobody wonders at its times. */
const ahead = computed(() => aheadMs(record.entries, Date.now()));
const when = (at: string): string => formatMoment(new Date(at));

const names = computed(() => new Map(work.plan?.order.map((step) => [step.key, step])));
function stepName(key: string): string {
  const step = names.value.get(key) ?? null;
  return step ? say.partAndStitch(work.nameOf(step), stitchOfStep(step).inSentence) : say.GONE_STEP;
}
const partName = (part: string): string => opened.nameOf(part) || say.GONE_PART;
function words(entry: RecordEntry): string {
  switch (entry.type) {
    case 'part-done':
      return say.partDone(partName(entry.part));
    case 'thread-used':
      return say.threadUsed(partName(entry.part), formatThread(entry.usedMm, settings.units));
    case 'sitting-begun':
      return entry.needles === null ? 'Sitting started' : say.sittingStarted(entry.needles);
    case 'sitting-ended':
      return entry.needles === null ? 'Sitting ended' : say.sittingEnded(entry.needles);
    case 'step-done':
      return say.stepDone(stepName(entry.step));
    case 'portion-done':
      return say.shareDone(entry.share, stepName(entry.step));
    case 'step-later':
      return say.leftForLater(stepName(entry.step));
    case 'unpicked':
      return say.stepUnpicked(stepName(entry.step));
    case 'length-taken':
      return 'New length on the needle';
    case 'look-again':
      return say.lookAgain(stepName(entry.step), entry.text);
    case 'looked-at':
      return 'Looked at again';
    case 'long-gap':
      return entry.stitched ? 'Long time without a tap: stitching' : 'Long time without a tap: away';
    case 'cloth-mounted':
      return 'Cloth put in the hoop';
    case 'cloth-taken-off':
      return 'Cloth taken out of the hoop';
    case 'mark-redrawn':
      return 'Lines redrawn';
    case 'break-taken':
      return 'Break';
    case 'scrap-laid':
      return say.scrapLaid(opened.nameOf(entry.scrap));
    case 'finish-done':
      return say.finishStepDone(finishing.plan?.steps.find(({ id }) => id === entry.act)?.text ?? say.GONE_STEP);
    case 'piece-ended':
      return say.pieceFinished(entry.text);
    case 'photographed':
      return 'Photograph taken';
    case 'note':
      return entry.text;
    case 'voided':
      return '';
  }
}
</script>

<template>
  <p v-if="ahead > 0" class="small soft" role="status">{{ say.datedAhead(ahead) }}</p>
  <ul class="record small" data-test="record">
    <li v-for="entry in showsAll ? rows : rows.slice(0, SHOWN)" :key="entry.id" :class="{ gone: voided.has(entry.id) }">
      <span class="soft figure">{{ when(entry.at) }}</span>
      <span class="words">{{ words(entry) }}<span v-if="voided.has(entry.id)"> (undone)</span></span>
      <NButton v-if="!voided.has(entry.id)" size="tiny" @click="work.takeBackEntry(entry.id)">Undo</NButton>
    </li>
  </ul>
  <NButton v-if="rows.length > SHOWN && !showsAll" size="small" @click="showsAll = true">{{
    say.allEntries(rows.length)
  }}</NButton>
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
