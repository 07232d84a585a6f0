<script setup lang="ts">
import type { PaintingReport } from '@junctura/core/painting';
import type { StitchPath } from '@junctura/core/stitches';
import { NButton, NCheckbox, NRadioButton, NRadioGroup } from 'naive-ui';
import { computed, onBeforeUnmount, ref, shallowRef, watch } from 'vue';
import { useSelection } from '../../session/selection.ts';
import { useWorkings } from '../../session/workings.ts';
import type { JobInput } from '../../workers/jobs.ts';
import * as say from './words.ts';

/** A painting beside its picture: near, from arm's length, as difference, and in figures. */
const props = defineProps<{ path: StitchPath; asked: () => JobInput<'judgePainting'> }>();
const workings = useWorkings();
const selection = useSelection();

const LOOKS = [
  { value: 'stitches', label: 'Stitches' },
  { value: 'half', label: 'Half' },
  { value: 'picture', label: 'Picture' },
  { value: 'difference', label: 'Difference' },
] as const;
const isFar = computed({
  get: () => selection.seeing === 'armsLength',
  set: (far) => (selection.seeing = far ? 'armsLength' : 'daylight'),
});
onBeforeUnmount(() => {
  selection.looking = 'stitches';
  isFar.value = false;
});

/** How near it comes, until something of it changes. */
const judged = shallowRef<PaintingReport | null>(null);
const isJudging = ref(false);
watch(
  () => props.path,
  () => (judged.value = null),
);
async function judge(): Promise<void> {
  isJudging.value = true;
  const answer = await workings.planner.ask('judgePainting', props.asked(), { key: 'judgePainting' });
  isJudging.value = false;
  if (answer?.ok) judged.value = answer.value;
}
</script>

<template>
  <NRadioGroup v-model:value="selection.looking" size="small" name="looking" aria-label="View">
    <NRadioButton v-for="{ value, label } in LOOKS" :key="value" :value="value">{{ label }}</NRadioButton>
  </NRadioGroup>
  <NCheckbox v-model:checked="isFar" size="small">From arm’s length</NCheckbox>
  <div class="row">
    <NButton size="small" :loading="isJudging" @click="judge">How close is it?</NButton>
  </div>
  <p v-if="judged" class="small" data-test="judged">
    {{ say.judged(judged.deltaE.mean, judged.floor.mean, judged.shades, judged.lonelyShare) }}
  </p>
</template>
