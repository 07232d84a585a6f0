<script setup lang="ts">
import {
  fitToHoop,
  keepsSize as keepsItsSize,
  mirrored,
  movedTo,
  onTheGrain,
  resized,
  spreadOfPositions,
  turned,
} from '@junctura/core/drawing';
import {
  AIR_MM,
  clothFor,
  CLOTHS,
  HOOP_RANGE_MM,
  HOOP_SIZES_MM,
  hoopNeeds,
  hoopSizeText,
  ownsHoop,
  OVAL_SIZES_MM,
  usualCloth,
} from '@junctura/core/materials';
import { formatFine, formatLength, roundTo } from '@junctura/core/measure';
import { SPAN_LIMIT_MM, WORN_USES } from '@junctura/core/propose';
import { plainHoop, setCloth, setHoop, setUse, type Hoop, type Piece, type Placement } from '@junctura/core/piece';
import { Lock, LockOpen } from '@lucide/vue';
import { NButton, NCheckbox } from 'naive-ui';
import { computed, ref } from 'vue';
import ChoiceField from '../../ui/ChoiceField.vue';
import BehindCloth from './BehindCloth.vue';
import ClothNeeds from './ClothNeeds.vue';
import HoopPositions from './HoopPositions.vue';
import LengthField from '../../ui/LengthField.vue';
import NumberField from '../../ui/NumberField.vue';
import WarpCheck from './WarpCheck.vue';
import { useOpenedPiece } from '../../session/openedPiece.ts';
import { useWorkings } from '../../session/workings.ts';
import { useSettings } from '../../session/settings.ts';
import { useThreadBox } from '../../session/threadBox.ts';
import * as say from './words.ts';
import { comesLater } from '../../ui/comesLater.ts';

const HoopComparison = comesLater(() => import('./HoopComparison.vue'));

const opened = useOpenedPiece();

const workings = useWorkings();
const settings = useSettings();
const threads = useThreadBox();

const hoop = computed(() => opened.piece.hoop);
const design = computed(() => workings.current?.plan.design ?? null);
const room = computed(() => workings.current?.plan.hoop ?? null);
const airMm = computed(() => hoop.value?.airMm ?? AIR_MM.usual);

/** A hoop as one word: its nominal size, for ovals both. */
const sizeKey = ({ nominalMm, shortMm }: Pick<Hoop, 'nominalMm' | 'shortMm'>): string =>
  shortMm === null ? String(nominalMm) : `${nominalMm}x${shortMm}`;
const OTHER = 'other';
const sizes = computed(() =>
  [...HOOP_SIZES_MM.map((nominalMm) => ({ nominalMm, shortMm: null })), ...OVAL_SIZES_MM]
    .map((size) => ({ size, isOwned: ownsHoop(threads.box.basket, size) }))
    // Those in the workbasket come first.
    .sort((a, b) => Number(b.isOwned) - Number(a.isOwned))
    .map(({ size, isOwned }) => ({
      value: sizeKey(size),
      label: say.hoopName(hoopSizeText(size, settings.units), size.shortMm !== null, isOwned),
    })),
);
const hoops = computed(() => [
  { value: '0', label: 'No hoop' },
  ...sizes.value,
  { value: OTHER, label: 'Other size…' },
]);
/** Whether the size of the hoop is typed: asked for, or none of those that are sold everywhere. */
const isTyping = ref(false);
const isOther = computed(
  () => hoop.value !== null && (isTyping.value || sizes.value.every(({ value }) => value !== sizeKey(hoop.value!))),
);
const chosenHoop = computed(() => (hoop.value === null ? '0' : isOther.value ? OTHER : sizeKey(hoop.value)));
/** Cloth that lies in the workbasket, large enough for this hoop, says so. */
const cloths = computed(() => {
  const { clothAcrossMm, clothUprightMm } = hoop.value
    ? hoopNeeds(hoop.value, spreadOfPositions(opened.piece))
    : { clothAcrossMm: 0, clothUprightMm: 0 };
  return CLOTHS.map(({ id, name }) => {
    const left = clothFor(threads.box.basket, id, clothAcrossMm, clothUprightMm);
    return { value: id, label: left ? say.yoursFits(name) : name };
  });
});
const USES: { value: Piece['use']; label: string }[] = [
  { value: 'framed', label: 'Framed, to look at' },
  { value: 'handled', label: 'Handled: a bag, a cushion' },
  { value: 'worn', label: 'Worn' },
  { value: 'washed', label: 'Washed often' },
  { value: 'patch', label: 'A patch' },
  { value: 'ornament', label: 'An ornament' },
  { value: 'whitework', label: 'Whitework' },
];

const hasDesign = computed(() => (design.value?.circle?.r ?? 0) > 0);
const fitted = (next: Hoop): Placement => fitToHoop(opened.piece, next);

const keepsSize = computed(() => keepsItsSize(opened.piece));
function setSize(nominalMm: number, shortMm: number | null): void {
  const next = { ...(hoop.value ?? plainHoop(nominalMm, airMm.value)), nominalMm, shortMm, warp: null };
  const name = hoopSizeText(next, settings.units);
  const label = keepsSize.value ? say.useHoop(name) : say.fitTo(name);
  opened.edit(setHoop(opened.piece, next, keepsSize.value ? opened.piece.placement : fitted(next), label));
}
/** A design without a size of its own fills the hoop that is chosen. */
function chooseHoop(key: string): void {
  isTyping.value = key === OTHER;
  if (key === OTHER) return hoop.value ? undefined : setSize(HOOP_SIZES_MM[2], null);
  if (key === '0') return opened.edit(setHoop(opened.piece, null, opened.piece.placement, 'Work without a hoop'));
  const [nominalMm, shortMm = null] = key.split('x').map(Number);
  setSize(nominalMm!, shortMm);
}
function changeHoop(change: Partial<Hoop>, label: string, follows = false): void {
  if (!hoop.value) return;
  const next = { ...hoop.value, ...change };
  opened.edit(setHoop(opened.piece, next, follows ? fitted(next) : opened.piece.placement, label));
}
/** What fitting to the hoop would make of the width, where that is something else; null: it fits as it is. */
const fitting = computed(() => {
  if (!hoop.value || !design.value || severalPositions.value || !hasDesign.value) return null;
  const factor = fitted(hoop.value).scale / opened.piece.placement.scale;
  return Math.abs(factor - 1) < 0.005 ? null : { factor, widthMm: design.value.widthMm * factor };
});
function keepSize(isSizeSet: boolean): void {
  place({ ...opened.piece.placement, isSizeSet }, isSizeSet ? 'Keep this size' : 'Let the size follow the hoop');
}

function place(placement: Placement, label: string): void {
  opened.edit(setHoop(opened.piece, hoop.value, placement, label));
}
function resize(sizeMm: number, side: 'width' | 'height'): void {
  place(resized(opened.piece, sizeMm, side), 'Change the size');
}
function shift(axis: 'xMm' | 'yMm', toMm: number): void {
  place(movedTo(opened.piece, axis, toMm), 'Move the design');
}
const offCentre = computed(() => design.value?.circle ?? { x: 0, y: 0, r: 0 });

const severalPositions = computed(() => opened.piece.positions.length > 1);
const spread = computed(() => spreadOfPositions(opened.piece));

const isComparing = ref(false);
</script>

<template>
  <div class="stack">
    <h2>Hoop and size</h2>
    <ChoiceField label="Hoop" :value="chosenHoop" :options="hoops" @change="chooseHoop" />
    <div v-if="hoop && isOther" class="pair" data-test="typed-hoop">
      <LengthField
        label="Hoop width"
        :value-mm="hoop.nominalMm"
        :min-mm="HOOP_RANGE_MM.min"
        :max-mm="HOOP_RANGE_MM.max"
        @change="(mm) => setSize(mm, hoop!.shortMm)"
      />
      <LengthField
        label="Hoop height"
        :value-mm="hoop.shortMm ?? hoop.nominalMm"
        :min-mm="HOOP_RANGE_MM.min"
        :max-mm="HOOP_RANGE_MM.max"
        @change="(mm) => setSize(hoop!.nominalMm, mm === hoop!.nominalMm ? null : mm)"
      />
    </div>
    <div v-if="hoop" class="pair">
      <LengthField
        label="Room to the hoop"
        :value-mm="hoop.airMm"
        :min-mm="0"
        :max-mm="60"
        @change="(mm) => changeHoop({ airMm: mm }, 'Change the room to the hoop', !keepsSize)"
      />
      <div class="field">
        <span class="label">&nbsp;</span>
        <NButton
          size="small"
          :type="fitting ? 'primary' : 'default'"
          :disabled="!fitting"
          @click="place(fitted(hoop!), 'Fit to the hoop')"
          >Fit to the hoop</NButton
        >
      </div>
    </div>
    <p v-if="hoop && fitting && design" class="small soft" data-test="fitting">
      {{
        say.fittingMakes(
          formatLength(fitting.widthMm, settings.units),
          formatLength(design.widthMm, settings.units),
          fitting.factor,
        )
      }}
    </p>
    <div class="row">
      <NButton size="small" :disabled="!hasDesign" @click="isComparing = true"
        >Compare hoop sizes side by side…</NButton
      >
    </div>
    <p v-if="room && design" class="note">
      {{
        say.roomInHoop(
          formatLength(offCentre.r * 2, settings.units),
          formatLength(room.innerMm, settings.units),
          formatLength(room.clearMm, settings.units),
        )
      }}
    </p>
    <div v-if="design" class="pair">
      <LengthField
        label="Width of the design"
        :value-mm="design.widthMm"
        :min-mm="1"
        :max-mm="2000"
        @change="(mm) => resize(mm, 'width')"
      />
      <LengthField
        label="Height"
        :value-mm="design.heightMm"
        :min-mm="1"
        :max-mm="2000"
        @change="(mm) => resize(mm, 'height')"
      />
      <LengthField
        label="From centre, right"
        :value-mm="offCentre.x"
        :min-mm="-500"
        :max-mm="500"
        @change="(mm) => shift('xMm', mm)"
      />
      <LengthField
        label="From centre, down"
        :value-mm="offCentre.y"
        :min-mm="-500"
        :max-mm="500"
        @change="(mm) => shift('yMm', mm)"
      />
      <NumberField
        label="Rotation, anticlockwise"
        :value="roundTo(opened.piece.placement.turnDeg, 1)"
        :min="-180"
        :max="180"
        :step="5"
        unit="°"
        @change="
          (deg) => place(turned(opened.piece.placement, deg - opened.piece.placement.turnDeg), 'Turn the design')
        "
      />
      <div class="field">
        <span class="label">&nbsp;</span>
        <div class="row">
          <NButton size="small" @click="place(mirrored(opened.piece.placement), 'Mirror the design')">Mirror</NButton>
          <NButton
            size="small"
            :disabled="opened.piece.placement.turnDeg === 0"
            @click="place(onTheGrain(opened.piece.placement), 'Straighten the design')"
            >Straighten</NButton
          >
        </div>
      </div>
    </div>
    <NCheckbox
      v-if="design && hoop"
      :checked="opened.piece.placement.isSizeSet"
      data-test="keep-size"
      @update:checked="keepSize"
    >
      <span class="lock">
        <component :is="opened.piece.placement.isSizeSet ? Lock : LockOpen" :size="15" aria-hidden="true" />
        {{ opened.piece.placement.isSizeSet ? 'Keep this size' : 'Keep this size (it follows the hoop now)' }}
      </span>
    </NCheckbox>
    <p class="small soft">
      With the hoop in focus, Shift and the arrow keys move the design by 1 mm, with Alt by 0.1 mm.
    </p>

    <HoopPositions v-if="hoop" :hoop="hoop" />

    <hr class="rule" />
    <h3>Cloth</h3>
    <div class="pair">
      <ChoiceField
        label="Kind"
        :value="opened.piece.cloth.kind"
        :options="cloths"
        @change="(kind) => opened.edit(setCloth(opened.piece, usualCloth(kind, opened.piece.cloth)))"
      />
      <div class="field">
        <label for="cloth-colour">Colour</label>
        <input
          id="cloth-colour"
          class="colour"
          type="color"
          :value="opened.piece.cloth.colour"
          @input="opened.edit(setCloth(opened.piece, { colour: ($event.target as HTMLInputElement).value }))"
        />
      </div>
    </div>
    <ChoiceField
      label="Use of the piece"
      :value="opened.piece.use"
      :options="USES"
      @change="(use) => opened.edit(setUse(opened.piece, use))"
    />
    <p class="small soft" data-test="use-says">
      {{ say.useMeans(formatFine(SPAN_LIMIT_MM[opened.piece.use]), WORN_USES.has(opened.piece.use)) }}
    </p>
    <BehindCloth />
    <ClothNeeds
      v-if="hoop"
      :hoop="hoop"
      :spread="spread"
      @bound="(bound) => changeHoop({ bound }, bound ? 'Bind the hoop' : 'Leave the hoop unbound')"
      @ring="(ring) => changeHoop({ ring }, say.useRing(ring))"
    />
    <WarpCheck v-if="hoop" :warp="hoop.warp" @measured="(warp) => changeHoop({ warp }, 'Check for round')" />
    <HoopComparison v-if="isComparing" @close="isComparing = false" />
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
.lock {
  display: inline-flex;
  align-items: center;
  gap: 6px;
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
