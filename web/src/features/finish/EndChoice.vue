<script setup lang="ts">
import { materialInWords, USUAL_LENGTHS, type FinishPlan } from '@junctura/core/finish';
import { boxOf } from '@junctura/core/geometry';
import { CLOTHS } from '@junctura/core/materials';
import { END_OF_USE, ENDS, FINISH_RANGES, setFinish, type End, type Finish } from '@junctura/core/piece';
import { NButton, NCheckbox } from 'naive-ui';
import { computed } from 'vue';
import { useOpenedPiece } from '../../session/openedPiece.ts';
import { useSettings } from '../../session/settings.ts';
import ChoiceField from '../../ui/ChoiceField.vue';
import LengthField from '../../ui/LengthField.vue';
import NumberField from '../../ui/NumberField.vue';
import { END_NAMES } from '@junctura/core/finish';
import { choicesOf, choose, chosen } from './endChoices.ts';
import * as say from './words.ts';

/** What the piece ends as, what of it can be changed, what stands against it, and what it takes. */
const props = defineProps<{ plan: FinishPlan }>();

const opened = useOpenedPiece();
const settings = useSettings();
const finish = computed(() => opened.piece.finish);
const change = (next: Partial<Finish>): void => opened.edit(setFinish(opened.piece, next));

/** Lengths that can be set for each end. */
type LengthKey = 'marginMm' | 'borderMm' | 'cornerMm' | 'seamMm' | 'openingMm' | 'scallopMm' | 'fringeMm';
interface LengthChoice {
  readonly key: LengthKey;
  readonly label: string;
}
const LENGTHS: Readonly<Record<End, readonly LengthChoice[]>> = {
  framed: [],
  board: [{ key: 'marginMm', label: 'Cloth shown round the design' }],
  patch: [
    { key: 'borderMm', label: 'Border' },
    { key: 'cornerMm', label: 'Smallest inward curve' },
  ],
  ornament: [
    { key: 'marginMm', label: 'Room round the design' },
    { key: 'seamMm', label: 'Seam allowance' },
    { key: 'openingMm', label: 'Opening' },
  ],
  card: [],
  cushion: [
    { key: 'marginMm', label: 'Room round the design' },
    { key: 'seamMm', label: 'Seam allowance' },
  ],
  garment: [],
  hemmed: [],
  whitework: [
    { key: 'marginMm', label: 'Room round the design' },
    { key: 'scallopMm', label: 'Scallop width' },
  ],
};
const lengths = computed(() => {
  const all = LENGTHS[props.plan.end];
  const hasFringe = props.plan.end === 'whitework' && finish.value.fringe !== 'none';
  return hasFringe ? [...all, { key: 'fringeMm', label: 'Fringe depth' } as const] : all;
});

/** A length as it is set, or as is usual for the end. */
function lengthOf(key: LengthKey): number {
  const usual: Readonly<Partial<Record<LengthKey, number>>> = USUAL_LENGTHS[props.plan.end];
  return finish.value[key] ?? usual[key] ?? 0;
}

const isKnitted = computed(() => props.plan.end === 'whitework' && finish.value.fringe === 'knitted');
const choices = computed(() => choicesOf(props.plan.end, finish.value, { hasDrawn: props.plan.hasDrawn }));
const ONTO = CLOTHS.map(({ id, name }) => ({ value: id, label: name }));
const colours = computed(() => [
  { value: '', label: 'Main colour of the stitching' },
  ...opened.piece.palette.map(({ id, role, hex, shade }) => ({ value: id, label: shade?.name ?? (role || hex) })),
]);

const SIZED: Partial<Record<End, string>> = {
  board: 'Board',
  card: 'Card, folded',
  cushion: 'Panel, finished size',
  whitework: 'Cloth, finished size',
};
/** The size that is set, or that the design asks for; null: nothing is stitched that could ask for any. */
const size = computed<readonly [number, number] | null>(() => {
  if (finish.value.sizeMm) return finish.value.sizeMm;
  const box = boxOf(props.plan.look.frame?.form ?? props.plan.look.form);
  return box && [Math.round(box.maxX - box.minX), Math.round(box.maxY - box.minY)];
});
</script>

<template>
  <div class="stack">
    <ul class="ends">
      <li v-for="end in ENDS" :key="end">
        <button
          type="button"
          class="plain end"
          :aria-pressed="end === plan.end"
          :data-test="`end-${end}`"
          @click="change({ end, sizeMm: null })"
        >
          <strong>{{ END_NAMES[end].name }}</strong>
          <span class="small soft">{{ END_NAMES[end].says }}</span>
          <span v-if="end !== plan.end && end === END_OF_USE[opened.piece.use]" class="small usual"
            >Usual for what this piece is for</span
          >
        </button>
      </li>
    </ul>

    <ul v-if="plan.problems.length > 0" class="problems" data-test="finish-problems">
      <li v-for="problem in plan.problems" :key="problem.id" :class="{ stops: problem.stops }">
        <span>{{ problem.text }}</span>
        <span v-if="problem.id === 'two-islands'" class="row">
          <NButton size="small" @click="change({ islands: 'bridge' })">Join with a bridge</NButton>
          <NButton size="small" @click="change({ islands: 'apart' })">Make separate patches</NButton>
        </span>
        <NButton v-if="problem.id === 'card-too-small'" size="small" @click="change({ sizeMm: null })"
          >Use the suggested size</NButton
        >
        <NButton
          v-if="problem.id === 'cuts-into-work' && plan.end === 'framed'"
          size="small"
          @click="change({ end: 'board', sizeMm: null })"
          >Mount it on a board</NButton
        >
        <NButton
          v-else-if="problem.id === 'cuts-into-work' && finish.sizeMm"
          size="small"
          @click="change({ sizeMm: null })"
          >Use the suggested size</NButton
        >
      </li>
    </ul>

    <div class="pair">
      <ChoiceField
        v-for="choice in choices"
        :key="choice.key"
        :label="choice.label"
        :value="chosen(choice, finish)"
        :options="choice.options"
        @change="(value) => change(choose(choice, value))"
      />
      <LengthField
        v-for="{ key, label } in lengths"
        :key="key"
        :label="label"
        :value-mm="lengthOf(key)"
        :min-mm="FINISH_RANGES[key].min"
        :max-mm="FINISH_RANGES[key].max"
        @change="(mm) => change({ [key]: mm })"
      />
      <template v-if="SIZED[plan.end] && size">
        <LengthField
          :label="say.sizeAcross(SIZED[plan.end]!)"
          :value-mm="size[0]"
          :min-mm="FINISH_RANGES.sizeMm.min"
          :max-mm="FINISH_RANGES.sizeMm.max"
          @change="(mm) => change({ sizeMm: [mm, size![1]] })"
        />
        <LengthField
          label="Height"
          :value-mm="size[1]"
          :min-mm="FINISH_RANGES.sizeMm.min"
          :max-mm="FINISH_RANGES.sizeMm.max"
          @change="(mm) => change({ sizeMm: [size![0], mm] })"
        />
      </template>
      <ChoiceField
        v-if="plan.end === 'patch' || plan.end === 'whitework'"
        label="Colour of the edge"
        :value="finish.edgeColour ?? ''"
        :options="colours"
        @change="(id) => change({ edgeColour: id || null })"
      />
      <ChoiceField
        v-if="plan.end === 'patch'"
        label="Sewn onto"
        :value="finish.onto"
        :options="ONTO"
        @change="(onto) => change({ onto })"
      />
      <NumberField
        v-if="isKnitted"
        label="Your stitches in 10 cm"
        :value="finish.stitchesIn10Cm"
        :min="FINISH_RANGES.stitchesIn10Cm.min"
        :max="FINISH_RANGES.stitchesIn10Cm.max"
        unit=""
        @change="(stitchesIn10Cm) => change({ stitchesIn10Cm })"
      />
      <NumberField
        v-if="isKnitted"
        label="Your rows in 10 cm"
        :value="finish.rowsIn10Cm"
        :min="FINISH_RANGES.rowsIn10Cm.min"
        :max="FINISH_RANGES.rowsIn10Cm.max"
        unit=""
        @change="(rowsIn10Cm) => change({ rowsIn10Cm })"
      />
    </div>
    <NCheckbox
      v-if="plan.end === 'framed'"
      :checked="finish.doubled"
      @update:checked="(doubled: boolean) => change({ doubled })"
      >Gathering thread is weak: use it double</NCheckbox
    >
    <NCheckbox
      v-if="plan.end === 'whitework'"
      :checked="finish.knotted"
      @update:checked="(knotted: boolean) => change({ knotted })"
      >A French knot inside each scallop</NCheckbox
    >
    <p v-if="finish.sizeMm && SIZED[plan.end]" class="small">
      You set this size.
      <button type="button" class="plain link" @click="change({ sizeMm: null })">Use the suggested size</button>
    </p>

    <template v-if="plan.materials.length > 0">
      <hr class="rule" />
      <h3>What else it takes</h3>
      <table class="told" data-test="finish-materials">
        <tbody>
          <tr v-for="material in plan.materials" :key="material.id">
            <th scope="row">{{ material.name }}</th>
            <td class="figure">{{ materialInWords(material, settings.units) }}</td>
          </tr>
        </tbody>
      </table>
    </template>
  </div>
</template>

<style scoped>
.usual {
  color: var(--madder);
}
.ends {
  list-style: none;
  margin: 0 -10px;
  padding: 0;
  display: grid;
  grid-template-columns: 1fr 1fr;
}
.end {
  display: grid;
  width: 100%;
  height: 100%;
  align-content: start;
  padding: 6px 10px;
  border-radius: 6px;
  text-align: left;
  border-left: 3px solid transparent;
}
.end:hover,
.end[aria-pressed='true'] {
  background: var(--linen-deep);
}
.end[aria-pressed='true'] {
  border-left-color: var(--madder);
}
.problems {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 8px;
}
.problems li {
  border-left: 3px solid var(--weld);
  padding-left: 10px;
  display: grid;
  gap: 6px;
  justify-items: start;
}
.problems li.stops {
  border-left-color: var(--madder);
}
</style>
