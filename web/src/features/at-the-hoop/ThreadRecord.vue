<script setup lang="ts">
import { threadFactor } from '@junctura/core/work';
import { needleRuns } from '@junctura/core/thread';
import { doubtOf, learnHand, trusted, type Doubt } from '@junctura/core/log';
import { ownedM, threadKind, weighed, WORKING_LENGTH, type ThreadId } from '@junctura/core/materials';
import { formatDay, formatThread } from '@junctura/core/measure';
import { type ThreadUse, shadesOf } from '@junctura/core/piece';
import { stitchKind } from '@junctura/core/stitches';
import { NButton } from 'naive-ui';
import { computed, ref, shallowRef } from 'vue';
import { isToTry, useLearning } from '../../session/learning.ts';
import { useRecord } from '../../session/record.ts';
import { useOpenedPiece } from '../../session/openedPiece.ts';
import { useWorkings } from '../../session/workings.ts';
import { useSelection } from '../../session/selection.ts';
import { useSettings } from '../../session/settings.ts';
import { useThreadBox } from '../../session/threadBox.ts';
import ChoiceField from '../../ui/ChoiceField.vue';
import LengthField from '../../ui/LengthField.vue';
import NumberField from '../../ui/NumberField.vue';
import * as say from './words.ts';

/** What was truly used of thread for a part, and what has been learned of the person's hand. */
const opened = useOpenedPiece();
const workings = useWorkings();
const selection = useSelection();
const settings = useSettings();
const threads = useThreadBox();
const learning = useLearning();
const record = useRecord();

/** What can be noted: each run of a part in one colour. */
const runs = computed(() =>
  workings.current
    ? needleRuns(workings.piece, workings.current.plan.parts, workings.current.plan.order, workings.memory)
    : [],
);
const chosenKey = ref<string | null>(null);
const keyed = computed(() => {
  const done = record.progress.done;
  return runs.value
    .filter(({ run }) => run.quantities.threadMm > 0)
    .map(({ colour, run }) => ({
      key: String(run.order),
      colour,
      run,
      isDone: done.has(run.part),
      label: say.runName(opened.nameOf(run.part), stitchKind(run.pass.stitch).inSentence, done.has(run.part)),
    }))
    .sort((a, b) => Number(a.isDone) - Number(b.isDone));
});
const chosen = computed(() => {
  const picked = selection.picked[0];
  const all = keyed.value;
  return all.find(({ key }) => key === chosenKey.value) ?? all.find(({ run }) => run.part === picked) ?? all[0];
});
/** What is usual for it: without what was learned of the person. */
const usualMm = computed(() => {
  if (!chosen.value) return 0;
  const { run } = chosen.value;
  return run.quantities.threadMm / threadFactor(settings.own, run.pass.stitch);
});

const WAYS = [
  { value: 'lengths', label: 'By the lengths you took' },
  { value: 'weight', label: 'By weight, before and after' },
] as const;
const way = ref<(typeof WAYS)[number]['value']>('lengths');
const lengths = ref(1);
const remainderMm = ref(0);
const beforeG = ref(1.4);
const afterG = ref(1.2);
/** What each length loses at its start and worked in at its end is not in the part: it is reckoned off. */
const lostMm = computed(() => WORKING_LENGTH.startMm[opened.piece.worker.start] + WORKING_LENGTH.workedInMm);
const usedMm = computed(() => {
  if (!chosen.value) return 0;
  const { pass } = chosen.value.run;
  const { cutMm } = opened.piece.worker;
  if (way.value === 'lengths') return lengths.value * (cutMm - lostMm.value) - remainderMm.value;
  const kind = threadKind(pass.thread);
  const [before, after] = [beforeG.value, afterG.value].map((grams) => weighed(kind, grams, 0, 0.1));
  if (!before!.ok || !after!.ok) return 0;
  const takenMm = ((before!.value.metres - after!.value.metres) * 1000 * kind.strands) / pass.strands;
  return takenMm * (1 - lostMm.value / cutMm);
});

type NewUse = Omit<ThreadUse, 'id' | 'at' | 'type'>;
const doubt = shallowRef<{ doubt: Doubt; use: NewUse } | null>(null);
function note(): void {
  if (!chosen.value || usedMm.value <= 0) return;
  const { colour, run } = chosen.value;
  const use: NewUse = {
    part: run.part,
    colour,
    stitch: run.pass.stitch,
    strands: run.pass.strands,
    usualMm: usualMm.value,
    usedMm: usedMm.value,
    sure: false,
  };
  const before = record.progress.uses.filter((other) => other.colour === colour && other.strands === use.strands);
  const found = doubtOf(use, needleMetres(colour, run.pass.thread, run.pass.strands), before);
  if (found) doubt.value = { doubt: found, use };
  else put(use);
}
/** Metres of needle thread that can be had from what is owned; null where nothing of it is in the box. */
function needleMetres(colourId: string, thread: ThreadId, strands: number): number | null {
  const colour = opened.piece.palette.find(({ id }) => id === colourId);
  if (!colour) return null;
  const owned = ownedM(threads.box, shadesOf(colour).first, thread, opened.piece.id);
  return owned > 0 ? (owned * threadKind(thread).strands) / strands : null;
}
function put(use: NewUse): void {
  doubt.value = null;
  chosenKey.value = null;
  if (way.value === 'lengths' && remainderMm.value > 0) {
    selection.onNeedle = { colour: use.colour, strands: use.strands, leftMm: remainderMm.value };
  }
  void record.noteUse(use);
}
const doubtWords = computed(() => {
  const asked = doubt.value?.doubt;
  if (!asked) return '';
  return asked.type === 'unusual' ? say.timesUsual(asked.factor) : say.moreThanOwned(asked.usedM, asked.ownedM);
});

const isDemo = computed(() => isToTry(opened.piece.id));
const learned = computed(() => (isDemo.value ? learnHand(trusted(record.progress.uses)) : learning.learned));
const isAllDone = computed(() => opened.piece.drawing.parts.every(({ id }) => record.progress.done.has(id)));
</script>

<template>
  <template v-if="chosen">
    <ChoiceField
      label="Just finished"
      :value="chosen.key"
      :options="keyed.map(({ key, label }) => ({ value: key, label }))"
      @change="(key) => (chosenKey = key)"
    />
    <ChoiceField label="How you measured it" :value="way" :options="WAYS" @change="(next) => (way = next)" />
    <div v-if="way === 'lengths'" class="pair">
      <NumberField
        label="Lengths you took"
        :value="lengths"
        :min="1"
        :max="200"
        :unit="say.ofLength(formatThread(opened.piece.worker.cutMm, settings.units))"
        @change="(n) => (lengths = n)"
      />
      <LengthField
        label="Left on the needle"
        :value-mm="remainderMm"
        :min-mm="0"
        :max-mm="100000"
        :step-mm="10"
        @change="(mm) => (remainderMm = mm)"
      />
    </div>
    <div v-else class="pair">
      <NumberField
        label="Before"
        :value="beforeG"
        :min="0"
        :max="5000"
        :step="0.1"
        unit="g"
        @change="(n) => (beforeG = n)"
      />
      <NumberField
        label="After"
        :value="afterG"
        :min="0"
        :max="5000"
        :step="0.1"
        unit="g"
        @change="(n) => (afterG = n)"
      />
    </div>
    <p class="small soft" data-test="used">
      {{ say.usedAndUsual(formatThread(Math.max(0, usedMm), settings.units), formatThread(usualMm, settings.units)) }}
    </p>
    <div v-if="doubt" class="doubt" role="alert">
      <p>{{ doubtWords }}</p>
      <div class="row">
        <NButton size="small" type="primary" @click="put({ ...doubt.use, sure: true })">Yes, it is right</NButton>
        <NButton size="small" @click="doubt = null">Correct it</NButton>
      </div>
    </div>
    <div v-else class="row">
      <NButton type="primary" size="small" :disabled="usedMm <= 0" @click="note"
        >Record it and mark the part as done</NButton
      >
      <NButton size="small" @click="record.setDone(chosen.run.part, !chosen.isDone)">
        {{ chosen.isDone ? 'Mark as not done' : 'Mark as done without recording thread' }}
      </NButton>
    </div>
  </template>
  <p v-if="isAllDone" class="good small">Every part is stitched.</p>

  <h3>What Junctura has learned</h3>
  <p v-if="isDemo" class="small soft">
    This is a demo piece: here is what its record shows. Nothing is learned from it about your own hand.
  </p>
  <p v-if="learned.records === 0" class="small soft">
    Nothing yet. Each part you record brings the figures closer to your own hand, stitch by stitch; about ten are enough
    to halve the error.
  </p>
  <template v-else>
    <p class="small" data-test="learned">
      {{ say.learnedFrom(learned.records, say.threadUse(learned.thread['']!), learned.handSpread) }}
    </p>
    <ul class="list small">
      <li v-for="entry in learned.stitches" :key="entry.stitch">
        <strong>{{ stitchKind(entry.stitch).name }}</strong> {{ say.threadUse(entry.factor) }}
        <span class="soft">{{ say.fromRecords(entry.records, say.threadUse(entry.recorded)) }}</span>
      </li>
    </ul>
    <NButton v-if="!isDemo" size="small" @click="learning.forget">Forget it and start learning again</NButton>
  </template>
  <template v-if="record.progress.uses.length > 0">
    <h3>Recorded for this piece</h3>
    <ul class="list small">
      <li v-for="use in [...record.progress.uses].reverse()" :key="use.id" class="noted">
        <span
          >{{
            say.usedOn({
              day: formatDay(new Date(use.at)),
              part: opened.nameOf(use.part) || say.GONE_PART,
              stitch: stitchKind(use.stitch).inSentence,
              length: formatThread(use.usedMm, settings.units),
            })
          }}
          <span class="soft">{{ say.usual(formatThread(use.usualMm, settings.units)) }}</span></span
        >
        <button type="button" class="plain soft link" @click="record.takeBack(use.id)">Undo</button>
      </li>
    </ul>
  </template>
</template>

<style scoped>
.doubt {
  display: grid;
  gap: 8px;
  padding: 10px 14px;
  background: var(--weld-ground);
  border-radius: 6px;
}
.list {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 5px;
}
.noted {
  display: flex;
  justify-content: space-between;
  gap: 10px;
}
</style>
