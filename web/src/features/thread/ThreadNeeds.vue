<script setup lang="ts">
import type { ColourNeed } from '@junctura/core/thread';
import { threadKind } from '@junctura/core/materials';
import { formatDurationRange, formatThread, plural } from '@junctura/core/measure';
import { cuttingList, loadWords } from '@junctura/core/paper';
import { computed, onBeforeUnmount, ref, watch } from 'vue';
import { useOpenedPiece } from '../../session/openedPiece.ts';
import { useWorkings } from '../../session/workings.ts';
import { useWorkSoFar } from '../../session/workSoFar.ts';
import { useSelection } from '../../session/selection.ts';
import { useSettings } from '../../session/settings.ts';
import { WorkerClient } from '../../workers/workerClient.ts';
import OddsChart from './OddsChart.vue';
import ThreadBar from './ThreadBar.vue';
import * as say from './words.ts';

/** What each colour takes and why, how many skeins do, and how to cut it. */
const opened = useOpenedPiece();
const workings = useWorkings();
const selection = useSelection();
const settings = useSettings();
const work = useWorkSoFar();
const needs = computed(() => workings.current?.plan.colours ?? []);
const totals = computed(() => workings.current?.plan.totals ?? null);
const unfolded = ref<string | null>(null);

function toggle(need: ColourNeed): void {
  unfolded.value = unfolded.value === need.id ? null : need.id;
  selection.pickColour(unfolded.value === null ? null : need.colour);
}
/** Strands that were drawn out and are kept for a finer line. */
function kept(strands: number, cutMm: number): string {
  return say.leftOver(strands, formatThread(cutMm, settings.units));
}

/** How often all colours reach at once, with what is enough for each nine times in ten. */
const RUNS = 10_000;
const all = ref<number | null>(null);
const client = new WorkerClient();
watch(
  [needs, () => settings.factors],
  async () => {
    const asked = {
      runs: RUNS,
      factors: settings.factors,
      needs: needs.value.map(({ loads, skeins, thread, wholeM }) => ({
        loads,
        share: wholeM > 0 ? (skeins.p90 * threadKind(thread).putUpM) / wholeM : 1,
      })),
    };
    const answer = await client.ask('odds', asked, { key: 'odds' });
    if (answer) all.value = answer.ok ? answer.value : null;
  },
  { immediate: true },
);
onBeforeUnmount(() => client.close());
/** The dye lot of a colour, where one was said. */
function lotOf(colour: string): string | null {
  return opened.piece.palette.find(({ id }) => id === colour)?.lot ?? null;
}
</script>

<template>
  <p v-if="totals" class="figure">
    {{
      say.stitchesTake(
        formatThread(totals.threadMm, settings.units),
        formatDurationRange(work.hours!.p10, work.hours!.p90),
      )
    }}
  </p>
  <p v-if="all !== null && needs.length > 1" class="small soft" data-test="all-reach">
    {{ say.allReach(all, RUNS) }}
  </p>
  <section v-for="need in needs" :key="need.id" class="need">
    <button type="button" class="plain name" :aria-expanded="unfolded === need.id" @click="toggle(need)">
      <span class="swatch" :style="{ background: need.hex }"></span>
      <strong>{{ need.name }}</strong>
      <span class="small soft">{{ say.kindAndLot(threadKind(need.thread).name, lotOf(need.colour)) }}</span>
    </button>
    <p class="buy">
      <strong class="figure">{{ plural(need.skeins.p90, threadKind(need.thread).putUp) }}</strong>
      <span class="soft">{{ say.enoughNineInTen(need.skeins.p90, need.skeins.p50) }}</span>
    </p>
    <template v-if="unfolded === need.id">
      <OddsChart :need="need" />
      <ThreadBar
        :front-mm="need.frontMm"
        :back-mm="need.backMm"
        :wrap-mm="need.wrapMm"
        :through-mm="need.throughMm"
        :slack-mm="need.slackMm"
        :lost-mm="need.lostMm"
      />
      <p class="small soft">
        {{
          say.howCut({
            needlefuls: need.loads,
            lengths: need.cuts,
            metres: need.wholeM,
            spare: need.strandsKept > 0 ? kept(need.strandsKept, need.cutMm) : null,
          })
        }}
        <template v-if="need.lostMm > 0">{{
          say.lostOfLength(
            formatThread(need.cutMm, settings.units),
            formatThread(need.lostMm / need.loads, settings.units),
          )
        }}</template>
      </p>
      <ol class="cuts" data-test="cutting-list">
        <li v-for="cut in cuttingList(workings.piece, need, settings.units)" :key="cut.number">
          <strong>{{ say.lengthN(cut.number) }}</strong> <span class="figure soft">{{ cut.length }}</span>
          <ul>
            <li v-for="(load, i) in cut.loads" :key="i">{{ say.sharedFor(loadWords(load), load.parts) }}</li>
            <li v-if="cut.kept > 0" class="soft">{{ say.keptForFineLine(cut.kept) }}</li>
          </ul>
        </li>
      </ol>
    </template>
  </section>
</template>

<style scoped>
.need {
  display: grid;
  gap: 4px;
  padding-bottom: 10px;
  border-bottom: 1px solid var(--chalk);
}
.name {
  display: flex;
  gap: 9px;
  align-items: center;
  padding: 2px 0;
}
.buy .figure {
  font-size: 19px;
}
.cuts {
  list-style: none;
  margin: 0;
  padding: 0;
  font-size: 14px;
  display: grid;
  gap: 6px;
}
.cuts ul {
  margin: 0;
  padding-left: 18px;
}
</style>
