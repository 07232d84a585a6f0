<script setup lang="ts">
import { WORKING_LENGTH, threadKind } from '@junctura/core/materials';
import { formatDurationRange, formatThread } from '@junctura/core/measure';
import { setWorker, type Piece } from '@junctura/core/piece';
import { computed } from 'vue';
import NumberField from '../components/NumberField.vue';
import ChoiceField from '../components/ChoiceField.vue';
import ThreadBar from '../components/ThreadBar.vue';
import { useBench } from '../stores/bench.ts';
import { useSettings } from '../stores/settings.ts';

const bench = useBench();
const settings = useSettings();
const needs = computed(() => bench.workings?.plan.colours ?? []);
const totals = computed(() => bench.workings?.plan.totals ?? null);

const STARTS: { value: Piece['worker']['start']; label: string }[] = [
  { value: 'waste-knot', label: 'Waste knot' },
  { value: 'knot', label: 'Knot behind' },
  { value: 'tiny-stitches', label: 'Tiny stitches' },
];
const CUTS = [
  { value: WORKING_LENGTH.cutMm, label: 'Half a metre' },
  { value: WORKING_LENGTH.armsLengthMm, label: 'Arm’s length, 70 cm' },
];
const SATIN: { value: Piece['worker']['satinFrom']; label: string }[] = [
  { value: 'middle', label: 'From the middle, either way' },
  { value: 'edge', label: 'From edge to edge' },
];

const KNOTS: { value: Piece['worker']['knots']; label: string }[] = [
  { value: 'french', label: 'French, wound' },
  { value: 'colonial', label: 'Colonial, a figure of eight' },
];
const STRANDS: { value: Piece['worker']['strands']; label: string }[] = [
  { value: 'fine', label: 'Fine: one' },
  { value: 'usual', label: 'Usual: two or three' },
  { value: 'bold', label: 'Bold: up to six' },
];
const HANDS: { value: Piece['worker']['hand']; label: string }[] = [
  { value: 'right', label: 'Right-handed' },
  { value: 'left', label: 'Left-handed' },
];

/** Strands that were drawn out and are kept for a finer line. */
function kept(strands: number, cutMm: number): string {
  return `${strands} ${strands === 1 ? 'strand' : 'strands'} of ${cutMm / 10} cm left over and kept`;
}
function pick(colourId: string): void {
  bench.pickColour(colourId);
}
</script>

<template>
  <div class="stack">
    <h2>Thread and hours</h2>
    <p v-if="totals">
      <strong class="figure">{{ formatThread(totals.threadMm, settings.units) }}</strong> of needle thread lie on the
      piece, <strong class="figure">{{ formatDurationRange(totals.hours.p10, totals.hours.p90) }}</strong> of work,
      needles threaded and thread fastened off included.
    </p>
    <section v-for="need in needs" :key="need.id" class="need">
      <button type="button" class="plain name" @click="pick(need.colour)">
        <span class="swatch" :style="{ background: need.hex }"></span>
        <strong>{{ need.name }}</strong>
        <span class="small soft">{{ threadKind(need.thread)?.name }}</span>
      </button>
      <p class="buy">
        <strong class="figure">{{ need.skeins.p90 }}</strong> {{ need.skeins.p90 === 1 ? 'skein' : 'skeins' }}
        <span class="soft"
          >{{ need.skeins.p90 === 1 ? 'is' : 'are' }} enough nine times in ten<template
            v-if="need.skeins.p50 !== need.skeins.p90"
            >; {{ need.skeins.p50 }} every other time</template
          >.</span
        >
      </p>
      <p class="small soft">
        {{ need.loads }} {{ need.loads === 1 ? 'needle load' : 'needle loads' }} from {{ need.cuts }}
        {{ need.cuts === 1 ? 'cut' : 'cuts' }} of {{ need.cutMm / 10 }} cm<template v-if="need.strandsKept > 0"
          >; {{ kept(need.strandsKept, need.cutMm) }}</template
        >.
      </p>
      <ThreadBar
        :front-mm="need.frontMm"
        :back-mm="need.backMm"
        :wrap-mm="need.wrapMm"
        :through-mm="need.throughMm"
        :slack-mm="need.slackMm"
        :lost-mm="need.lostMm"
      />
    </section>
    <h3>How you work</h3>
    <div class="pair">
      <ChoiceField
        label="Working length"
        :value="bench.piece.worker.cutMm"
        :options="CUTS"
        @change="(cutMm: number) => bench.edit(setWorker(bench.piece, { cutMm }))"
      />
      <ChoiceField
        label="Thread begun with"
        :value="bench.piece.worker.start"
        :options="STARTS"
        @change="(start) => bench.edit(setWorker(bench.piece, { start }))"
      />
      <ChoiceField
        label="Satin worked"
        :value="bench.piece.worker.satinFrom"
        :options="SATIN"
        @change="(satinFrom) => bench.edit(setWorker(bench.piece, { satinFrom }))"
      />
      <ChoiceField
        label="Round knots"
        :value="bench.piece.worker.knots"
        :options="KNOTS"
        @change="(knots) => bench.edit(setWorker(bench.piece, { knots }))"
      />
      <ChoiceField
        label="Strands proposed"
        :value="bench.piece.worker.strands"
        :options="STRANDS"
        @change="(strands) => bench.edit(setWorker(bench.piece, { strands }))"
      />
      <ChoiceField
        label="Your hand"
        :value="bench.piece.worker.hand"
        :options="HANDS"
        @change="(hand) => bench.edit(setWorker(bench.piece, { hand }))"
      />
      <NumberField
        label="Slack of your hand"
        :value="Math.round(bench.piece.worker.slack * 100)"
        :min="0"
        :max="30"
        unit="%"
        @change="(percent) => bench.edit(setWorker(bench.piece, { slack: percent / 100 }))"
      />
    </div>
    <p class="small soft">
      Of each length the start is lost ({{ WORKING_LENGTH.startMm[bench.piece.worker.start] }} mm) and what must stay to
      fasten off ({{ WORKING_LENGTH.stopMm }} mm, {{ WORKING_LENGTH.stopForKnotsMm }} mm for knots).
      {{ WORKING_LENGTH.unpicked * 100 }} % more is reckoned for unpicking.
    </p>
  </div>
</template>

<style scoped>
.need {
  display: grid;
  gap: 4px;
  padding-bottom: 12px;
  border-bottom: 1px solid var(--chalk);
}
.name {
  display: flex;
  gap: 9px;
  align-items: center;
}
.buy .figure {
  font-size: 19px;
}
.pair {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px 14px;
}
</style>
