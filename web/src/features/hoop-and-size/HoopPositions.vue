<script setup lang="ts">
import { worksOf } from '@junctura/core/order';
import { setPositions, type Hoop, type HoopPlace } from '@junctura/core/piece';
import { NButton } from 'naive-ui';
import { computed, ref } from 'vue';
import { useOpenedPiece } from '../../session/openedPiece.ts';
import { useWorkings } from '../../session/workings.ts';
import { useSettings } from '../../session/settings.ts';
import { HOOP_SIZES_MM, hoopSizeText } from '@junctura/core/materials';
import ChoiceField from '../../ui/ChoiceField.vue';
import LengthField from '../../ui/LengthField.vue';
import * as say from './words.ts';

/** Where a hoop is set for a design that is larger than it: found, moved by numbers, taken away. */
const props = defineProps<{ hoop: Hoop }>();
const opened = useOpenedPiece();
const workings = useWorkings();
const settings = useSettings();
const severalPositions = computed(() => opened.piece.positions.length > 1);
const works = computed(() =>
  severalPositions.value && workings.current
    ? worksOf(workings.current.plan.parts, props.hoop, opened.piece.positions)
    : [],
);
const positionsProblem = ref<string | null>(null);
const isFinding = ref(false);
async function findThem(): Promise<void> {
  const { piece } = opened;
  isFinding.value = true;
  const answer = await workings.planner.ask(
    'positions',
    { piece, factors: settings.factors, hoop: props.hoop },
    { key: 'positions' },
  );
  isFinding.value = false;
  if (!answer || opened.piece !== piece) return;
  if (!answer.ok) {
    positionsProblem.value = say.noPositions(answer.problem);
    return;
  }
  const found = answer.value;
  positionsProblem.value =
    found === null
      ? 'The design is too large to be reached with this hoop: choose a larger hoop or a smaller size.'
      : null;
  if (found && found.length === 1) positionsProblem.value = 'One position reaches everything.';
  if (found) opened.edit(setPositions(opened.piece, found.length > 1 ? found : [], 'Find hoop positions'));
}
function movePosition(index: number, axis: 0 | 1, mm: number): void {
  change(index, ([x, y, size]) => (axis === 0 ? [mm, y, size] : [x, mm, size]), 'Move a hoop position');
}
/** The hoop of one position, where it is another than the piece's. */
function setSize(index: number, nominalMm: number): void {
  const own = nominalMm === props.hoop.nominalMm ? undefined : nominalMm;
  change(index, ([x, y]) => [x, y, own], 'Change the hoop of a position');
}
function change(index: number, to: (place: HoopPlace) => HoopPlace, label: string): void {
  const changed = opened.piece.positions.map((place, i) => (i === index ? to(place) : place));
  opened.edit(setPositions(opened.piece, changed, label));
}
const sizes = computed(() =>
  [...new Set([props.hoop.nominalMm, ...HOOP_SIZES_MM, ...works.value.map(({ nominalMm }) => nominalMm)])]
    .sort((a, b) => a - b)
    .map((nominalMm) => ({
      value: String(nominalMm),
      label: hoopSizeText({ nominalMm, shortMm: null }, settings.units),
    })),
);
function removePosition(index: number): void {
  opened.edit(
    setPositions(
      opened.piece,
      opened.piece.positions.filter((_, i) => i !== index),
      'Remove a hoop position',
    ),
  );
}
</script>

<template>
  <section class="stack">
    <hr class="rule" />
    <h3>Hoop positions</h3>
    <p v-if="!severalPositions" class="small soft">
      A design larger than its hoop is worked in several positions: flat stitches first, raised ones last.
    </p>
    <ol v-else class="positions">
      <li v-for="(work, i) in works" :key="i">
        <strong class="serif">{{ i + 1 }}</strong>
        <LengthField
          label="From centre, right"
          :value-mm="work.x"
          :min-mm="-3000"
          :max-mm="3000"
          @change="(mm) => movePosition(i, 0, mm)"
        />
        <LengthField
          label="From centre, down"
          :value-mm="work.y"
          :min-mm="-3000"
          :max-mm="3000"
          @change="(mm) => movePosition(i, 1, mm)"
        />
        <ChoiceField
          label="Hoop"
          :value="String(work.nominalMm)"
          :options="sizes"
          @change="(size) => setSize(i, Number(size))"
        />
        <div class="held">
          <span class="small soft">{{ say.partsInPosition(work.whole.length, work.portions.length) }}</span>
          <button type="button" class="plain small soft" @click="removePosition(i)">Remove</button>
        </div>
      </li>
    </ol>
    <div class="row">
      <NButton size="small" :disabled="!workings.current?.plan.design.circle" @click="findThem"
        >Find hoop positions</NButton
      >
      <NButton
        v-if="severalPositions"
        size="small"
        @click="opened.edit(setPositions(opened.piece, [], 'Use one position'))"
        >Use one position</NButton
      >
    </div>
    <p v-if="positionsProblem" class="small" role="status">{{ positionsProblem }}</p>
  </section>
</template>

<style scoped>
.positions {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 8px;
}
.positions li {
  display: grid;
  grid-template-columns: 20px 1fr 1fr;
  gap: 6px 10px;
  align-items: end;
  padding-bottom: 6px;
}
/* Its hoop and what it holds stand below its place. */
.positions li > :nth-child(4) {
  grid-column: 2;
}
.held {
  display: grid;
  justify-items: start;
  gap: 2px;
}
.serif {
  font-family: var(--serif);
  font-size: 20px;
}
</style>
