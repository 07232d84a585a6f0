<script setup lang="ts">
import { clothOf, STABILISERS } from '@junctura/core/materials';
import { setStabiliser, type Piece } from '@junctura/core/piece';
import { behindCloth } from '@junctura/core/transfer';
import { computed } from 'vue';
import { useOpenedPiece } from '../../session/openedPiece.ts';
import { useSettings } from '../../session/settings.ts';
import { useWorkings } from '../../session/workings.ts';
import ChoiceField from '../../ui/ChoiceField.vue';
import LessonLinks from '../../ui/LessonLinks.vue';
import { formatLength } from '@junctura/core/measure';
import * as say from './words.ts';

/** What lies behind the cloth before the first stitch, why, how large it is cut, and how the cloth is held. */
const opened = useOpenedPiece();
const workings = useWorkings();
const settings = useSettings();

const behind = computed(() => (workings.current ? behindCloth(workings.piece, workings.current.plan) : null));
const isKnit = computed(() => clothOf(opened.piece.cloth.kind).stretches);
/** As suggested, first of all. */
const SUGGESTED = 'suggested';
const options = computed(() => [
  { value: SUGGESTED, label: say.suggestedBehind(behind.value?.suggested.name ?? '') },
  ...STABILISERS.map(({ id, name }) => ({ value: id as string, label: name })),
]);
function choose(value: string): void {
  opened.edit(setStabiliser(opened.piece, value === SUGGESTED ? null : (value as Piece['stabiliser'])));
}
</script>

<template>
  <div v-if="behind" class="stack" data-test="behind-cloth">
    <ChoiceField
      label="Behind the cloth"
      :value="opened.piece.stabiliser ?? SUGGESTED"
      :options="options"
      @change="choose"
    />
    <p class="small soft">
      {{ behind.reason }}
      <template v-if="behind.sizeMm">{{
        say.cutBehind(formatLength(behind.sizeMm[0], settings.units), formatLength(behind.sizeMm[1], settings.units))
      }}</template>
    </p>
    <details v-if="behind.steps.length > 0" class="small">
      <summary>How to lay it</summary>
      <ol>
        <li v-for="step in behind.steps" :key="step">{{ step }}</li>
      </ol>
    </details>
    <p v-if="isKnit" class="small soft">
      {{ say.holdKnit(opened.piece.hoop !== null) }} See <LessonLinks :lessons="['garment']" />.
    </p>
  </div>
</template>
