<script setup lang="ts">
import type { ColourNeed } from '@junctura/core/thread';
import { threadKind } from '@junctura/core/materials';
import { formatDurationRange, formatThread, plural } from '@junctura/core/measure';
import { cuttingList, loadWords } from '@junctura/core/paper';
import { computed, onBeforeUnmount, ref, watch } from 'vue';
import { useOpenedPiece } from '../../session/openedPiece.ts';
import { useWorkings } from '../../session/workings.ts';
import { useSelection } from '../../session/selection.ts';
import { useSettings } from '../../session/settings.ts';
import { WorkerClient } from '../../workers/workerClient.ts';
import OddsChart from './OddsChart.vue';
import ThreadBar from './ThreadBar.vue';

/** What each colour takes and why, how many skeins do, and how to cut it. */
const opened = useOpenedPiece();
const workings = useWorkings();
const selection = useSelection();
const settings = useSettings();
const needs = computed(() => workings.current?.plan.colours ?? []);
const totals = computed(() => workings.current?.plan.totals ?? null);
const unfolded = ref<string | null>(null);

function toggle(need: ColourNeed): void {
  unfolded.value = unfolded.value === need.id ? null : need.id;
  selection.pickColour(unfolded.value === null ? null : need.colour);
}
/** Strands that were drawn out and are kept for a finer line. */
function kept(strands: number, cutMm: number): string {
  return `${plural(strands, 'strand')} of ${cutMm / 10} cm left over and kept`;
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
        share: wholeM > 0 ? (skeins.p90 * threadKind(thread)!.putUpM) / wholeM : 1,
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
  <p v-if="totals">
    <strong class="figure">{{ formatThread(totals.threadMm, settings.units) }}</strong> of needle thread lie on the
    piece, <strong class="figure">{{ formatDurationRange(totals.hours.p10, totals.hours.p90) }}</strong> of work,
    needles threaded and thread fastened off included.
  </p>
  <p v-if="all !== null && needs.length > 1" class="small soft" data-test="all-reach">
    With these skeins, every colour reaches in {{ Math.round(all * 100) }} of 100 cases (the piece worked
    {{ RUNS.toLocaleString('en') }} times by chance).
  </p>
  <section v-for="need in needs" :key="need.id" class="need">
    <button type="button" class="plain name" :aria-expanded="unfolded === need.id" @click="toggle(need)">
      <span class="swatch" :style="{ background: need.hex }"></span>
      <strong>{{ need.name }}</strong>
      <span class="small soft"
        >{{ threadKind(need.thread)?.name
        }}<template v-if="lotOf(need.colour)">, lot {{ lotOf(need.colour) }}</template></span
      >
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
        {{ plural(need.loads, 'needle load') }} from {{ plural(need.cuts, 'cut') }}, {{ need.wholeM.toFixed(1) }} m off
        the skein<template v-if="need.strandsKept > 0">; {{ kept(need.strandsKept, need.cutMm) }}</template
        >.<template v-if="need.lostMm > 0">
          Of each {{ formatThread(need.cutMm, settings.units) }}, about
          {{ formatThread(need.lostMm / need.loads, settings.units) }} begins and fastens off or is too short to go on
          with: it is lost in starting and finishing off. Longer lengths lose less and wear more.</template
        >
      </p>
      <ol class="cuts" data-test="cutting-list">
        <li v-for="cut in cuttingList(workings.piece, need, settings.units)" :key="cut.number">
          <strong>Cut {{ cut.number }}</strong> <span class="figure soft">{{ cut.length }}</span>
          <ul>
            <li v-for="(load, i) in cut.loads" :key="i">{{ loadWords(load) }} for {{ load.parts }}</li>
            <li v-if="cut.kept > 0" class="soft">{{ cut.kept }} kept for a fine line</li>
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
