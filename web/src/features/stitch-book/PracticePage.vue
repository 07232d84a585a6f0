<script setup lang="ts">
import { roundTo } from '@junctura/core/measure';
import { ownHand, PRACTICE, practiceSheet, practiceTargets, SHEETS, type Sheet } from '@junctura/core/paper';
import { NButton } from 'naive-ui';
import { computed, ref } from 'vue';
import BookHeader from './BookHeader.vue';
import ChoiceField from '../../ui/ChoiceField.vue';
import NumberField from '../../ui/NumberField.vue';
import PagePreview from '../../ui/PagePreview.vue';
import { savePdf } from '../../keeping/savePdf.ts';
import { useSettings } from '../../session/settings.ts';
import * as say from './words.ts';

/** A sampler to print, and the record of what came out: the person's own width and stitch length. */
const settings = useSettings();
const sheet = ref<Sheet['id']>('a4');
const SIZES = SHEETS.map(({ id, name }) => ({ value: id, label: name }));
const page = computed(() => practiceSheet(sheet.value));
const targets = practiceTargets();

const stitches = ref<number | null>(null);
const satinMm = ref<number | null>(null);
const measured = computed(() =>
  ownHand({ stitches: stitches.value ?? targets.stitches, satinMm: satinMm.value ?? targets.satinMm }),
);
const isMeasured = computed(() => stitches.value !== null || satinMm.value !== null);
const isUsual = computed(() => settings.own.width === 1 && settings.own.stitch === 1);
const problem = ref<string | null>(null);

function keep(): void {
  settings.own = {
    ...settings.own,
    width: satinMm.value === null ? settings.own.width : measured.value.width,
    stitch: stitches.value === null ? settings.own.stitch : measured.value.stitch,
  };
}
async function save(): Promise<void> {
  problem.value = await savePdf([page.value], 'Practice sampler', 'practice-sampler.pdf');
}
</script>

<template>
  <main class="practice">
    <BookHeader />
    <div class="body">
      <section class="stack">
        <h2>Practise, then measure your own hand</h2>
        <p>
          Print the sampler at true size, trace it and work it in two strands. Then count and measure as below: from
          then on Junctura uses your own figures for thread, hours and pictures.
        </p>
        <form class="record" @submit.prevent="keep">
          <NumberField
            :label="say.backStitchesIn(PRACTICE.lineMm, targets.stitches)"
            :value="stitches ?? targets.stitches"
            :min="4"
            :max="16"
            :step="0.5"
            unit=""
            @change="(n) => (stitches = n)"
          />
          <NumberField
            :label="say.satinWidth(PRACTICE.satinStitches, targets.satinMm)"
            :value="roundTo(satinMm ?? targets.satinMm, 1)"
            :min="2.3"
            :max="9"
            :step="0.1"
            unit="mm"
            @change="(n) => (satinMm = n)"
          />
          <p v-if="isMeasured" class="small" role="status">
            {{ say.yourHand(measured.width, measured.stitch) }}
          </p>
          <div class="row">
            <NButton type="primary" attr-type="submit" :disabled="!isMeasured" data-test="keep-hand"
              >Use my figures</NButton
            >
            <NButton v-if="!isUsual" @click="settings.own = { ...settings.own, width: 1, stitch: 1 }"
              >Go back to the usual figures</NButton
            >
          </div>
        </form>
        <p v-if="!isUsual" data-test="own-hand">
          <strong>In use:</strong>
          {{ say.yourHand(settings.own.width, settings.own.stitch) }}
          {{ say.twoStrandsWide((targets.satinMm / PRACTICE.satinStitches / 0.9) * settings.own.width) }}
        </p>
        <h3>Targets</h3>
        <ul>
          <li>Spacing: no cloth between satin stitches, and none overlapping.</li>
          <li>Evenness: the longest back stitch is no more than half a millimetre longer than the shortest.</li>
          <li>Edges: straight within a thread’s width; every stitch square to the edge.</li>
          <li>Knots: all one size; they stand up and don’t pull through.</li>
        </ul>
        <p class="small soft">
          Sit upright, bring the hoop up to your eyes, and stop before your neck or wrist tells you to.
        </p>
      </section>
      <section class="stack">
        <div class="row">
          <ChoiceField label="Paper" :value="sheet" :options="SIZES" @change="(id) => (sheet = id)" />
          <NButton type="primary" @click="save">Save as PDF</NButton>
        </div>
        <p v-if="problem" role="alert">{{ problem }}</p>
        <PagePreview :page="page" label="The practice sampler" />
      </section>
    </div>
  </main>
</template>

<style scoped>
.practice {
  height: 100%;
  display: grid;
  grid-template-rows: auto minmax(0, 1fr);
}
.body {
  overflow-y: auto;
  padding: 24px 28px 48px;
  display: grid;
  grid-template-columns: minmax(280px, 46ch) minmax(280px, 560px);
  gap: 30px 56px;
  align-content: start;
}
.record {
  display: grid;
  gap: 12px;
}
.row {
  align-items: end;
}
ul {
  margin: 0;
  padding-left: 20px;
}
@media (max-width: 760px) {
  .body {
    grid-template-columns: 1fr;
  }
}
</style>
