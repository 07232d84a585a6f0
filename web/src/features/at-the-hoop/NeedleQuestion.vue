<script setup lang="ts">
import { onTheNeedle, partsToDo } from '@junctura/core/thread';
import { formatThread } from '@junctura/core/measure';
import { stitchKind } from '@junctura/core/stitches';
import { computed, ref } from 'vue';
import { useOpenedPiece } from '../../session/openedPiece.ts';
import { useWorkings } from '../../session/workings.ts';
import { useSelection } from '../../session/selection.ts';
import { useRecord } from '../../session/record.ts';
import { useSettings } from '../../session/settings.ts';
import ChoiceField from '../../ui/ChoiceField.vue';
import LengthField from '../../ui/LengthField.vue';
import * as say from './words.ts';

/** Is what is left on the needle enough for the next shape, or is a smaller one taken? */
const opened = useOpenedPiece();
const workings = useWorkings();
const selection = useSelection();
const settings = useSettings();
const record = useRecord();
const needs = computed(() => workings.current?.plan.colours ?? []);
/** What was left when thread was noted last is what hangs on the needle now. */
const colourId = ref<string | null>(selection.onNeedle?.colour ?? null);
const wantedStrands = ref(selection.onNeedle?.strands ?? 2);
const leftMm = ref(selection.onNeedle?.leftMm ?? 300);
const MOST_SHOWN = 8;

const need = computed(() => needs.value.find(({ colour }) => colour === colourId.value) ?? needs.value[0]);
const colours = computed(() => needs.value.map(({ colour, name }) => ({ value: colour, label: name })));
const strandCounts = computed(() =>
  [...new Set(need.value?.loadList.map(({ strands }) => strands))].sort((a, b) => a - b),
);
const strands = computed(() =>
  strandCounts.value.includes(wantedStrands.value) ? wantedStrands.value : (strandCounts.value[0] ?? 1),
);
const answer = computed(() =>
  workings.current && need.value
    ? onTheNeedle(
        opened.piece,
        partsToDo(workings.current.plan, record.progress.done),
        workings.current.plan.order,
        need.value.colour,
        strands.value,
        leftMm.value,
      )
    : null,
);
const finished = computed(() => answer.value?.reaches.filter(({ share }) => share === 1) ?? []);
const begun = computed(() => answer.value?.reaches.filter(({ share }) => share < 1 && share > 0) ?? []);
</script>

<template>
  <p class="small soft">Measure the thread between the cloth and the needle.</p>
  <div class="pair">
    <ChoiceField
      label="Colour on the needle"
      :value="need?.colour ?? ''"
      :options="colours"
      @change="(id) => (colourId = id)"
    />
    <ChoiceField
      label="Strands"
      :value="strands"
      :options="strandCounts.map((n) => ({ value: n, label: String(n) }))"
      @change="(n) => (wantedStrands = n)"
    />
    <LengthField
      label="Left on the needle"
      :value-mm="leftMm"
      :min-mm="0"
      :max-mm="3000"
      :step-mm="10"
      @change="(mm) => (leftMm = mm)"
    />
  </div>
  <div v-if="answer" data-test="needle-answer" class="answer">
    <p v-if="answer.reaches.length === 0">
      There is nothing left to do in this colour and number of strands: fasten off and put the thread away.
    </p>
    <p v-else-if="answer.fastenOff">
      <strong>Fasten off now.</strong> {{ say.keepForFastening(formatThread(answer.keepMm, settings.units)) }}
    </p>
    <template v-else>
      <p v-if="finished.length > 0"><strong>Enough to finish</strong></p>
      <ul>
        <li v-for="reach in finished.slice(0, MOST_SHOWN)" :key="`${reach.part} ${reach.stitch}`">
          <button type="button" class="plain link" @click="selection.pick([reach.part])">
            {{ opened.nameOf(reach.part) }}
          </button>
          <span class="soft small">{{
            say.stitchAndLength(stitchKind(reach.stitch).inSentence, formatThread(reach.needMm, settings.units))
          }}</span>
        </li>
      </ul>
      <p v-if="finished.length > MOST_SHOWN" class="small soft">{{ say.smallerOnes(finished.length - MOST_SHOWN) }}</p>
      <p v-if="begun.length > 0">
        <strong>Enough for part of</strong>
      </p>
      <ul>
        <li v-for="reach in begun.slice(0, 4)" :key="`${reach.part} ${reach.stitch}`">
          <button type="button" class="plain link" @click="selection.pick([reach.part])">
            {{ opened.nameOf(reach.part) }}
          </button>
          <span class="soft small">{{ say.shareAndStitches(reach.share, reach.stitches) }}</span>
        </li>
      </ul>
    </template>
  </div>
</template>

<style scoped>
.answer {
  display: grid;
  gap: 6px;
}
ul {
  margin: 0;
  padding-left: 18px;
}
</style>
