<script setup lang="ts">
import { amountsInWords, type FinishPlan, type FinishStep } from '@junctura/core/finish';
import { finishProgress } from '@junctura/core/log';
import { formatDay, formatDuration } from '@junctura/core/measure';
import { NButton, NCheckbox, NInput } from 'naive-ui';
import { computed, ref } from 'vue';
import { useOpenedPiece } from '../../session/openedPiece.ts';
import { useRecord } from '../../session/record.ts';
import { useSettings } from '../../session/settings.ts';
import * as say from './words.ts';
import { comesLater } from '../../ui/comesLater.ts';

const EndedFigures = comesLater(() => import('./EndedFigures.vue'));
const PhotoRow = comesLater(async () => (await import('../at-the-hoop/index.ts')).PhotoRow);

/** What is to be done in its order, ticked off as it is done; then the piece is ended. */
const props = defineProps<{ plan: FinishPlan }>();

const opened = useOpenedPiece();
const record = useRecord();
const settings = useSettings();
const progress = computed(() => finishProgress(record.entries));
const done = computed(() => props.plan.steps.filter(({ id }) => progress.value.done.has(id)).length);
const left = computed(() =>
  props.plan.steps.reduce((sum, { id, seconds }) => sum + (progress.value.done.has(id) ? 0 : seconds), 0),
);
const next = computed(() => props.plan.steps.find(({ id }) => !progress.value.done.has(id)) ?? null);

function tick({ id }: FinishStep, isDone: boolean): void {
  const entry = progress.value.done.get(id);
  if (isDone) void record.note({ type: 'finish-done', act: id });
  else if (entry) void record.takeBack(entry);
}

const note = ref('');
async function end(): Promise<void> {
  await record.note({ type: 'piece-ended', text: note.value.trim() });
  note.value = '';
}
</script>

<template>
  <div class="stack">
    <p class="soft" role="status" data-test="finish-progress">
      <template v-if="done === 0">Tick each step off when it is done, here or at the hoop.</template>
      <template v-else
        >{{ say.stepsDone(done, plan.steps.length)
        }}<template v-if="left > 0"> {{ say.aboutLeft(formatDuration(left / 3600)) }}</template></template
      >
    </p>
    <ol class="steps" data-test="finish-steps">
      <li v-for="step in plan.steps" :key="step.id" :class="{ next: step.id === next?.id }">
        <NCheckbox :checked="progress.done.has(step.id)" @update:checked="(isDone: boolean) => tick(step, isDone)">{{
          step.text
        }}</NCheckbox>
        <span class="small soft figure"
          >{{ formatDuration(step.seconds / 3600)
          }}<template v-if="amountsInWords(step, settings.units)">
            · {{ amountsInWords(step, settings.units) }}</template
          ></span
        >
        <span v-if="step.caution" class="small caution">{{ step.caution }}</span>
      </li>
    </ol>
    <hr class="rule" />
    <template v-if="progress.ended">
      <h3 data-test="ended">{{ say.finishedOn(formatDay(new Date(progress.ended.at))) }}</h3>
      <p v-if="progress.ended.text" class="note">“{{ progress.ended.text }}”</p>
      <EndedFigures :plan="plan" />
      <PhotoRow />
      <p class="small">
        <button type="button" class="plain link" @click="record.takeBack(progress.ended.id)">
          It is not finished after all
        </button>
      </p>
    </template>
    <template v-else>
      <h3>Finish the piece</h3>
      <p class="small soft">
        {{ say.toShelf(opened.piece.name) }}
      </p>
      <NInput
        v-model:value="note"
        type="textarea"
        :autosize="{ minRows: 2, maxRows: 6 }"
        :maxlength="2000"
        placeholder="For example: a thinner needle for the moon"
        :input-props="{ 'aria-label': 'A note to yourself' }"
      />
      <div><NButton type="primary" data-test="end-piece" @click="end">Move it to the shelf</NButton></div>
    </template>
  </div>
</template>

<style scoped>
.steps {
  margin: 0;
  padding-left: 22px;
  display: grid;
  gap: 12px;
}
.steps li::marker {
  color: var(--ink-soft);
}
.steps li.next::marker {
  color: var(--madder);
  font-weight: 700;
}
.steps li > .small {
  display: block;
  padding-left: 24px;
}
.caution {
  border-left: 3px solid var(--weld);
  margin-left: 24px;
  padding-left: 8px !important;
}
.steps :deep(.n-checkbox) {
  align-items: start;
}
.note {
  font-family: var(--serif);
}
</style>
