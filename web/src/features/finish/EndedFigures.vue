<script setup lang="ts">
import type { FinishPlan } from '@junctura/core/finish';
import { formatDuration, formatThread } from '@junctura/core/measure';
import { computed } from 'vue';
import { useRecord } from '../../session/record.ts';
import { useSettings } from '../../session/settings.ts';
import { useWorkings } from '../../session/workings.ts';
import { useWorkSoFar } from '../../session/workSoFar.ts';
import { usePrice } from './usePrice.ts';
import * as say from './words.ts';

/** What a finished piece took, beside what was planned of it. */
const props = defineProps<{ plan: FinishPlan }>();

const record = useRecord();
const settings = useSettings();
const work = useWorkSoFar();
const workings = useWorkings();
const { price, money } = usePrice(() => props.plan);

const hours = computed(() => ({
  planned: workings.current!.plan.totals.hours.p50,
  true: (work.soFar?.seconds ?? 0) / 3600,
}));
/** Of the parts of which it was noted. */
const thread = computed(() => {
  const { uses } = record.progress;
  if (uses.length === 0) return null;
  return uses.reduce((sum, { usualMm, usedMm }) => ({ planned: sum.planned + usualMm, true: sum.true + usedMm }), {
    planned: 0,
    true: 0,
  });
});
const beside = ({ planned, true: own }: { planned: number; true: number }): string => {
  return say.againstPlan(own / planned);
};
</script>

<template>
  <table class="told" data-test="ended-figures">
    <tbody>
      <tr v-if="hours.true > 0">
        <th scope="row">Stitching time</th>
        <td class="figure">{{ say.figureAndPlan(formatDuration(hours.true), beside(hours)) }}</td>
      </tr>
      <tr v-if="thread">
        <th scope="row">Thread, as recorded</th>
        <td class="figure">{{ say.figureAndPlan(formatThread(thread.true, settings.units), beside(thread)) }}</td>
      </tr>
      <tr>
        <th scope="row">Thread and finishing materials</th>
        <td class="figure">{{ money(price.thread + price.finishing) }}</td>
      </tr>
      <tr v-if="price.work > 0">
        <th scope="row">Including your hours</th>
        <td class="figure">{{ money(price.all) }}</td>
      </tr>
    </tbody>
  </table>
</template>
