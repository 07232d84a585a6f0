<script setup lang="ts">
import { centred, fitToHoop, mirrored, turned } from '@junctura/core/drawing';
import { AIR_MM, clothCutMm, CLOTHS, HOOP_SIZES_MM } from '@junctura/core/materials';
import { formatLength, MM_PER_INCH, roundTo } from '@junctura/core/measure';
import { setCloth, setHoop, setUse, type Piece, type Placement } from '@junctura/core/piece';
import { NButton } from 'naive-ui';
import { computed } from 'vue';
import NumberField from '../components/NumberField.vue';
import ChoiceField from '../components/ChoiceField.vue';
import LengthField from '../components/LengthField.vue';
import { useBench } from '../stores/bench.ts';
import { useSettings } from '../stores/settings.ts';

const bench = useBench();
const settings = useSettings();

const hoop = computed(() => bench.piece.hoop);
const design = computed(() => bench.workings?.plan.design ?? null);
const room = computed(() => bench.workings?.plan.hoop ?? null);
const airMm = computed(() => hoop.value?.airMm ?? AIR_MM.usual);

const hoops = computed(() => [
  { value: 0, label: 'No hoop' },
  ...HOOP_SIZES_MM.map((mm) => ({
    value: mm as number,
    label: settings.units === 'inch' ? `${Math.round(mm / MM_PER_INCH)} in (${mm} mm)` : `${mm / 10} cm`,
  })),
]);
const cloths = CLOTHS.map(({ id, name }) => ({ value: id, label: name }));
const USES: { value: Piece['use']; label: string }[] = [
  { value: 'framed', label: 'Framed, to look at' },
  { value: 'handled', label: 'Handled: a bag, a cushion' },
  { value: 'worn', label: 'Worn' },
  { value: 'washed', label: 'Washed often' },
  { value: 'patch', label: 'A patch' },
  { value: 'ornament', label: 'An ornament' },
  { value: 'whitework', label: 'Whitework' },
];

function fitted(nominalMm: number, air: number): Placement {
  const circle = design.value?.circle;
  return circle && circle.r > 0
    ? fitToHoop(bench.piece.placement, circle, { nominalMm, airMm: air })
    : bench.piece.placement;
}

/** A hoop is chosen for the design to fill; without one the design keeps its size. */
function chooseHoop(nominalMm: number): void {
  if (nominalMm === 0) return bench.edit(setHoop(bench.piece, null, bench.piece.placement, 'Work without a hoop'));
  const next = { nominalMm, airMm: airMm.value };
  bench.edit(setHoop(bench.piece, next, fitted(nominalMm, next.airMm), `Fit to the ${nominalMm / 10} cm hoop`));
}

function chooseAir(air: number): void {
  if (!hoop.value) return;
  bench.edit(
    setHoop(
      bench.piece,
      { ...hoop.value, airMm: air },
      fitted(hoop.value.nominalMm, air),
      'Change the air to the ring',
    ),
  );
}

function place(placement: Placement, label: string): void {
  bench.edit(setHoop(bench.piece, hoop.value, placement, label));
}

function resize(sizeMm: number, nowMm: number): void {
  const circle = design.value?.circle;
  if (circle && nowMm > 0) place(centred(bench.piece.placement, circle, sizeMm / nowMm), 'Change the size');
}

function shift(axis: 'xMm' | 'yMm', byMm: number): void {
  place({ ...bench.piece.placement, [axis]: bench.piece.placement[axis] + byMm }, 'Move the design');
}

const offCentre = computed(() => design.value?.circle ?? { x: 0, y: 0, r: 0 });
</script>

<template>
  <div class="stack">
    <h2>Hoop and size</h2>
    <ChoiceField label="Hoop" :value="hoop?.nominalMm ?? 0" :options="hoops" @change="chooseHoop" />
    <div v-if="hoop" class="pair">
      <LengthField label="Air to the ring" :value-mm="hoop.airMm" :min-mm="0" :max-mm="60" @change="chooseAir" />
      <div class="field">
        <span class="label">&nbsp;</span>
        <NButton size="small" type="primary" @click="chooseHoop(hoop!.nominalMm)">Fit to the hoop</NButton>
      </div>
    </div>
    <p v-if="room && design" class="note">
      The smallest circle round the design is
      <strong class="figure">{{ formatLength(offCentre.r * 2, settings.units) }}</strong> across; the ring is
      <strong class="figure">{{ formatLength(room.innerMm, settings.units) }}</strong> inside. At the nearest,
      <strong class="figure">{{ formatLength(room.clearMm, settings.units) }}</strong> stay free.
    </p>
    <div v-if="design" class="pair">
      <LengthField
        label="Width of the design"
        :value-mm="design.widthMm"
        :min-mm="1"
        :max-mm="2000"
        @change="(mm) => resize(mm, design!.widthMm)"
      />
      <LengthField
        label="Height"
        :value-mm="design.heightMm"
        :min-mm="1"
        :max-mm="2000"
        @change="(mm) => resize(mm, design!.heightMm)"
      />
      <LengthField
        label="Right of the middle"
        :value-mm="offCentre.x"
        :min-mm="-500"
        :max-mm="500"
        @change="(mm) => shift('xMm', mm - offCentre.x)"
      />
      <LengthField
        label="Below the middle"
        :value-mm="offCentre.y"
        :min-mm="-500"
        :max-mm="500"
        @change="(mm) => shift('yMm', mm - offCentre.y)"
      />
      <NumberField
        label="Turned, anticlockwise"
        :value="roundTo(bench.piece.placement.turnDeg, 1)"
        :min="-180"
        :max="180"
        :step="5"
        unit="°"
        @change="(deg) => place(turned(bench.piece.placement, deg - bench.piece.placement.turnDeg), 'Turn the design')"
      />
      <div class="field">
        <span class="label">&nbsp;</span>
        <NButton size="small" @click="place(mirrored(bench.piece.placement), 'Mirror the design')">Mirror</NButton>
      </div>
    </div>
    <hr class="rule" />
    <h3>Cloth</h3>
    <div class="pair">
      <ChoiceField
        label="Kind"
        :value="bench.piece.cloth.kind"
        :options="cloths"
        @change="(kind) => bench.edit(setCloth(bench.piece, { kind }))"
      />
      <div class="field">
        <label for="cloth-colour">Colour</label>
        <input
          id="cloth-colour"
          class="colour"
          type="color"
          :value="bench.piece.cloth.colour"
          @input="bench.edit(setCloth(bench.piece, { colour: ($event.target as HTMLInputElement).value }))"
        />
      </div>
    </div>
    <ChoiceField
      label="What it is for"
      :value="bench.piece.use"
      :options="USES"
      @change="(use) => bench.edit(setUse(bench.piece, use))"
    />
    <p v-if="hoop" class="note">
      Cut the cloth at least
      <strong class="figure">{{ formatLength(clothCutMm(hoop.nominalMm), settings.units) }}</strong> square, the grain
      straight up and down: 50 mm all round the hoop to work in.
    </p>
  </div>
</template>

<style scoped>
.pair {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px 14px;
}
.note {
  color: var(--ink-soft);
  font-size: 14px;
}
.note strong {
  color: var(--ink);
  font-weight: 600;
}
.colour {
  width: 100%;
  height: 30px;
  padding: 2px;
  border: 1px solid var(--chalk);
  border-radius: 5px;
  background: var(--paper);
}
</style>
