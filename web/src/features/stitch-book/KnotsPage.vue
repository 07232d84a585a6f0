<script setup lang="ts">
import {
  DEFAULT_THREAD,
  bundleDiameterMm,
  NEEDLE_NAMES,
  strandChoices,
  THREAD_KINDS,
  threadKind,
  wrappingNeedle,
  type ThreadId,
} from '@junctura/core/materials';
import { formatFine } from '@junctura/core/measure';
import { knotDiameterMm, stitchKind } from '@junctura/core/stitches';
import { computed, ref } from 'vue';
import ChoiceField from '../../ui/ChoiceField.vue';
import SampleCanvas from './SampleCanvas.vue';
import { oneSpot } from '@junctura/core/paper';
import BookHeader from './BookHeader.vue';
import { truePxPerMm } from '../../picture/view.ts';
import { useSettings } from '../../session/settings.ts';
import * as say from './words.ts';

/** Knots by strands and wraps, all at true size on this screen, and large beside. */
const settings = useSettings();
const HEX = '#9c3a3f';
const WRAPS = [1, 2, 3];
const MOST_STRANDS = 6;
const THREADS = THREAD_KINDS.map(({ id, name }) => ({ value: id, label: name }));
const thread = ref<ThreadId>(DEFAULT_THREAD);
const kind = computed(() => threadKind(thread.value));
const LARGE = 5;

const pxPerMm = computed(() => truePxPerMm(settings.screenBarMm));
const rows = computed(() =>
  strandChoices(kind.value)
    .filter((strands) => strands <= MOST_STRANDS)
    .map((strands) => ({
      strands,
      needle: needleWords(strands),
      cells: [
        ...WRAPS.map((wraps) => ({
          key: `french-${wraps}`,
          sample: oneSpot('french', strands, { wraps }, thread.value),
          mm: size(strands, wraps),
        })),
        { key: 'colonial', sample: oneSpot('colonial', strands, {}, thread.value), mm: size(strands, 2) },
      ],
    })),
);
function size(strands: number, wraps: number): number {
  return knotDiameterMm(wraps, bundleDiameterMm(kind.value, strands), wrappingNeedle(kind.value, strands).shaftMm);
}
function needleWords(strands: number): string {
  const { family, size: number, shaftMm } = wrappingNeedle(kind.value, strands);
  return say.needleAndShaft(`${NEEDLE_NAMES[family]} ${number}`, formatFine(shaftMm));
}
</script>

<template>
  <main class="knots">
    <BookHeader />
    <div class="body">
      <p class="soft">
        {{ say.knotSizes(LARGE) }}
      </p>
      <ChoiceField class="thread" label="Thread" :value="thread" :options="THREADS" @change="(id) => (thread = id)" />
      <div class="table" role="region" aria-label="Knots by strands and wraps" tabindex="0">
        <table>
          <thead>
            <tr>
              <th scope="col">Strands</th>
              <th v-for="wraps in WRAPS" :key="wraps" scope="col">
                {{ say.knotAndWraps(stitchKind('french').name, wraps) }}
              </th>
              <th scope="col">{{ stitchKind('colonial').name }}</th>
              <th scope="col">Needle</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="row in rows" :key="row.strands">
              <th scope="row" class="figure">{{ row.strands }}</th>
              <td v-for="cell in row.cells" :key="cell.key">
                <div class="cell">
                  <SampleCanvas
                    :sample="cell.sample"
                    :width="(cell.sample.box.maxX - cell.sample.box.minX) * pxPerMm"
                    :hex="HEX"
                  />
                  <SampleCanvas
                    :sample="cell.sample"
                    :width="(cell.sample.box.maxX - cell.sample.box.minX) * pxPerMm * LARGE"
                    :hex="HEX"
                  />
                  <span class="figure">{{ formatFine(cell.mm) }}</span>
                </div>
              </td>
              <td class="small" data-test="knot-needle">{{ row.needle }}</td>
            </tr>
          </tbody>
        </table>
      </div>
      <p class="soft small">
        One wrap fewer closes a gap. With more than three wraps knots topple over: use more strands instead. Wind them
        on a straight needle whose eye is no wider than its shaft.
      </p>
    </div>
  </main>
</template>

<style scoped>
.knots {
  height: 100%;
  display: grid;
  grid-template-rows: auto minmax(0, 1fr);
}
.body {
  overflow-y: auto;
  padding: 20px 28px 48px;
  grid-template-columns: minmax(0, 1fr);
  display: grid;
  gap: 16px;
  align-content: start;
}
.body > p {
  max-width: 78ch;
}
/* A choice in a column of its own. */
.thread {
  max-width: 260px;
}
table {
  border-collapse: collapse;
  width: max-content;
}
th {
  text-align: left;
  font-weight: 600;
  padding: 6px 22px 6px 0;
}
td {
  border-top: 1px solid var(--chalk);
  padding: 8px 22px 8px 0;
}
tbody th {
  border-top: 1px solid var(--chalk);
  font-size: 18px;
}
.cell {
  display: flex;
  align-items: center;
  gap: 12px;
}
.table {
  overflow-x: auto;
}
@media (max-width: 700px) {
  .body {
    padding: 16px 16px 40px;
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
