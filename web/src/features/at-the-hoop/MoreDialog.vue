<script setup lang="ts">
import { formatPercent } from '@junctura/core/measure';
import { noteLines, workingDrawing } from '@junctura/core/paper';
import { stitchKind } from '@junctura/core/stitches';
import { NButton, NInput } from 'naive-ui';
import { computed, ref } from 'vue';
import PagePreview from '../../ui/PagePreview.vue';
import LessonLinks from '../../ui/LessonLinks.vue';
import TheDialog from '../../ui/TheDialog.vue';
import { useOpenedPiece } from '../../session/openedPiece.ts';
import { CAN_SPEAK, speak } from './sounds.ts';
import { useWorkSoFar } from '../../session/workSoFar.ts';
import { useStepNote } from './stepNote.ts';
import type { MoreTopic } from './moreTopics.ts';
import * as say from './words.ts';

/** What a long press offers: how it is worked, part of it, later, unpick, something is wrong. */
const props = defineProps<{ topic: MoreTopic }>();
const emit = defineEmits<{ close: [] }>();
const shows = (topic: MoreTopic): boolean => props.topic === 'all' || props.topic === topic;
const opened = useOpenedPiece();
const work = useWorkSoFar();
const stepNote = useStepNote();

const step = computed(() => work.present!);
const kind = computed(() => stitchKind(step.value.stitch));
const DRAWING = { widthMm: 70, heightMm: 38 };
const page = computed(() => ({
  ...DRAWING,
  items: workingDrawing(step.value.stitch, opened.piece.worker.hand, 0, 0, DRAWING.widthMm, DRAWING.heightMm),
}));
const last = computed(() => work.soFar?.done.at(-1)?.step ?? null);
const pinText = ref('');
const noteText = ref('');

/** All that the guide says of the step. */
const told = computed(() => (stepNote.present ? noteLines(stepNote.present) : []));

function read(): void {
  speak([...told.value, kind.value.name, ...kind.value.steps].join('. '));
}
async function note(...entries: Parameters<typeof work.note>): Promise<void> {
  await work.note(...entries);
  emit('close');
}
</script>

<template>
  <TheDialog show :title="work.nameOf(step)" width="480px" @close="emit('close')">
    <div class="stack more">
      <section v-if="shows('how')" class="stack">
        <p v-for="line in told" :key="line">{{ line }}</p>
        <h3>{{ kind.name }}</h3>
        <PagePreview :page="page" :label="say.howToWork(kind.name)" />
        <ol>
          <li v-for="line in kind.steps" :key="line">{{ line }}</li>
        </ol>
        <NButton v-if="CAN_SPEAK" @click="read">Read it to me</NButton>
      </section>
      <section v-if="shows('part')" class="stack">
        <h3>Part of it is done</h3>
        <div class="row">
          <NButton
            v-for="share in [0.25, 0.5, 0.75]"
            :key="share"
            size="large"
            @click="note({ type: 'portion-done', step: step.key, share })"
            >{{ formatPercent(share) }}</NButton
          >
        </div>
        <div class="row">
          <NButton v-if="last" size="large" @click="note({ type: 'unpicked', step: last.key })">{{
            say.unpicked(work.nameOf(last))
          }}</NButton>
          <NButton size="large" @click="note({ type: 'length-taken', colour: step.colour, strands: step.strands })"
            >I started a new length</NButton
          >
        </div>
      </section>
      <section v-if="shows('wrong')" class="stack">
        <h3>Something is wrong</h3>
        <p class="small">
          See the drawings: <LessonLinks :lessons="['unpicking', 'hanging', 'knots', 'fastening-off']" />
        </p>
        <dl>
          <template v-for="{ fault, cure } in kind.faults" :key="fault">
            <dt>{{ fault }}</dt>
            <dd>{{ cure }}</dd>
          </template>
        </dl>
        <NInput
          v-model:value="pinText"
          placeholder="What to look at again"
          maxlength="300"
          :input-props="{ 'aria-label': 'What to look at again' }"
        />
        <NButton @click="note({ type: 'look-again', step: step.key, text: pinText })">Look at it again later</NButton>
        <ul v-if="work.soFar!.toLookAt.length > 0">
          <li v-for="pin in work.soFar!.toLookAt" :key="pin.id">
            {{ pin.text || 'To look at again' }}
            <NButton size="small" @click="work.note({ type: 'looked-at', entry: pin.id })">I have looked at it</NButton>
          </li>
        </ul>
      </section>
      <section v-if="shows('wrong')" class="stack">
        <h3>A note</h3>
        <NInput v-model:value="noteText" type="textarea" maxlength="2000" :input-props="{ 'aria-label': 'Note' }" />
        <NButton :disabled="noteText.trim() === ''" @click="note({ type: 'note', text: noteText.trim() })"
          >Save the note</NButton
        >
      </section>
    </div>
  </TheDialog>
</template>

<style scoped>
.more {
  gap: 22px;
  font-size: 17px;
}
ol,
ul,
dl {
  margin: 0;
  padding-left: 20px;
  display: grid;
  gap: 4px;
}
dl {
  padding-left: 0;
}
dt {
  font-weight: 600;
}
dd {
  margin: 0 0 6px;
}
</style>
