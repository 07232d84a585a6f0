<script setup lang="ts">
import type { PlannedPart, PlannedPass } from '@junctura/core/work';
import { canWork } from '@junctura/core/propose';
import {
  DIRECTIONS,
  INSET_MM,
  MOST_SHADES,
  gatherShades,
  setBorders,
  setGuides,
  setVein,
  type PassDirection,
  colourName,
  shownColour,
} from '@junctura/core/piece';
import { labOf, nextRung } from '@junctura/core/colour';
import {
  isSameShade,
  nearestShade,
  NEEDLE_NAMES,
  refOf,
  strandChoices,
  THREAD_KINDS,
  threadKind,
  type Shade,
  type ThreadId,
} from '@junctura/core/materials';
import { formatFine, roundTo } from '@junctura/core/measure';
import type { Pass } from '@junctura/core/piece';
import { STITCHES, stitchKind, type StitchId } from '@junctura/core/stitches';
import { Trash2 } from '@lucide/vue';
import { NButton, NCheckbox } from 'naive-ui';
import { computed } from 'vue';
import { useOpenedPiece } from '../../session/openedPiece.ts';
import { widthsOf } from '../../session/words.ts';
import { useSelection, type Pen } from '../../session/selection.ts';
import { useThreadBox } from '../../session/threadBox.ts';
import { useWorkings } from '../../session/workings.ts';
import ChoiceField from '../../ui/ChoiceField.vue';
import NumberField from '../../ui/NumberField.vue';
import type { PassChange } from './passChange.ts';
import { inCommon, layerIndex, type SharedLayer } from './sharedLayers.ts';
import * as say from './words.ts';
import { comesLater } from '../../ui/comesLater.ts';

const OutlineRun = comesLater(() => import('./OutlineRun.vue'));

/** One layer of a part, or the same of several: stitch, thread, strands, direction and the stitch's own parameters, as far as they have them in common. */
const props = defineProps<{ planned: PlannedPart; layer: SharedLayer; isOneKind: boolean }>();
const emit = defineEmits<{
  change: [change: PassChange, label: string, mergeKey: string | null];
  stitch: [id: StitchId];
}>();

const opened = useOpenedPiece();

const workings = useWorkings();
const selection = useSelection();
const threads = useThreadBox();
const pass = computed(() => props.layer.passes[0]!);
const index = computed(() => layerIndex(props.planned.passes, props.layer.role, props.layer.nth));
const kind = computed(() => stitchKind(pass.value.stitch));
/** What all of them have in common; null where they differ. */
function common<Value>(of: (pass: PlannedPass) => Value): Value | null {
  return inCommon(props.layer.passes.map(of));
}
/** What belongs to one stitch is asked where all are worked in it. */
const isOneStitch = computed(() => common(({ stitch }) => stitch) !== null);
const stitches = computed(() =>
  STITCHES.filter(({ id }) => canWork(id, props.planned.placed, pass.value.role)).map(({ id, name }) => ({
    value: id,
    label: name,
  })),
);
const THREADS = THREAD_KINDS.map(({ id, name }) => ({ value: id, label: name }));
const strands = computed(() =>
  strandChoices(threadKind(pass.value.thread)).map((n) => ({
    value: n,
    label: n === 12 ? '12 (six, folded)' : String(n),
  })),
);
const params = computed(() =>
  Object.entries(isOneStitch.value ? kind.value.params : {}).map(([key, param]) => ({
    key,
    param,
    value: common(({ params: own }) => own[key]!),
  })),
);

function setThread(thread: ThreadId): void {
  const choices = strandChoices(threadKind(thread));
  const now = pass.value.strands;
  emit('change', { thread, strands: choices.includes(now) ? now : choices[0]! }, 'Change the thread', null);
}
function setStrands(strands: number): void {
  emit('change', { strands }, say.useStrands(strands), null);
}
function setParam(key: string, label: string, value: number | string): void {
  emit('change', { params: { [key]: value } }, say.changeParam(label), `param-${key}`);
}
function setAngle(value: number): void {
  emit('change', { angleDeg: ((value % 180) + 180) % 180 }, 'Turn the stitches', 'angle');
}

const hasDirection = computed(
  () =>
    isOneStitch.value &&
    kind.value.hasDirection &&
    pass.value.role !== 'accent' &&
    props.planned.placed.kind === 'area',
);
const DIRECTION_WORDS: Readonly<Record<PassDirection, string>> = {
  straight: 'straight, at an angle',
  guides: 'along strokes I draw',
  along: 'along the middle line',
  across: 'across the middle line',
  radial: 'from a point',
  outline: 'round and round, inwards',
};
const directions = computed(() =>
  DIRECTIONS.filter((way) => way !== 'outline' || kind.value.canFollowOutline).map((way) => ({
    value: way,
    label: DIRECTION_WORDS[way],
  })),
);
function setDirection(direction: PassDirection): void {
  emit('change', { direction, points: [] }, 'Change the direction', null);
  if (direction === 'guides' && props.planned.part.guides.length === 0) takePen('guides');
}
function takePen(draws: Pen['draws']): void {
  selection.pen = { draws, part: props.planned.part.id, pass: index.value };
}
const usesVein = computed(
  () =>
    kind.value.hasVein ||
    pass.value.role === 'vein' ||
    pass.value.direction === 'along' ||
    pass.value.direction === 'across',
);
function forgetGuides(): void {
  opened.edit(setGuides(opened.piece, [props.planned.part.id], [], 'Remove direction strokes'));
}
function forgetVein(): void {
  opened.edit(setVein(opened.piece, [props.planned.part.id], null));
}
function forgetBorders(): void {
  opened.edit(setBorders(opened.piece, [props.planned.part.id], [], 'Make the shades equal'));
}

/** A layer has the part's colour or one of its own. */
const PARTS_OWN = '';
const colours = computed(() =>
  opened.piece.palette.map((entry) => ({ value: entry.id, label: colourName(entry).name })),
);
const colourChoices = computed(() => [{ value: PARTS_OWN, label: 'same as the part' }, ...colours.value]);
/** What whips, laces, weaves or ties is the same thread, or one of its own. */
const second = computed(() => pass.value.second);
const secondColours = computed(() => [{ value: PARTS_OWN, label: 'the same thread' }, ...colours.value]);
const secondStrands = computed(() =>
  strandChoices(threadKind(second.value?.thread ?? pass.value.thread)).map((n) => ({ value: n, label: String(n) })),
);
function setSecond(change: Partial<NonNullable<Pass['second']>> | null): void {
  if (!change) return emit('change', { second: null }, 'Work it in one thread', null);
  const changed = ({ second, thread, strands }: Pass): Partial<Pass> => {
    const next = { ...(second ?? { colour: null, thread, strands }), ...change };
    const choices = strandChoices(threadKind(next.thread));
    return { second: choices.includes(next.strands) ? next : { ...next, strands: choices[0]! } };
  };
  emit('change', changed, 'Change the second thread', null);
}
function setSecondColour(id: string): void {
  setSecond(id === PARTS_OWN ? null : { colour: id });
}
function setColour(id: string): void {
  emit('change', { colour: id === PARTS_OWN ? null : id }, 'Change a layer’s colour', null);
}
const [IN_TURN, ONE_BY_ONE] = ['Let the needles take turns', 'Work one shade after another'];
const firstRowChoices = computed(() => [
  { value: 0, label: 'as the rest' },
  ...strands.value.filter(({ value }) => value !== pass.value.strands),
]);
function setShadeStrands(i: number, strands: number): void {
  const changed = ({ shades, shadeStrands, strands: usual }: Pass): Partial<Pass> => ({
    shadeStrands: shades.map((_, k) => (k === i ? strands : (shadeStrands[k] ?? usual))),
  });
  emit('change', changed, 'Change the strands of a shade', null);
}
function setShades(changed: (shades: readonly string[]) => string[], mergeKey: string | null = null): void {
  emit('change', ({ shades }) => ({ shades: changed(shades) }), 'Change the shades', mergeKey);
}
/** The shade in which a colour is worked, or would be. */
function shadeOfColour(id: string): Shade {
  const shade = workings.piece.palette.find((entry) => entry.id === id)?.shade;
  return shade ? { ...shade, lab: labOf(shade.hex) } : nearestShade(shownColour(workings.piece, id).hex).item;
}
/** Another shade goes on from the ladder of the part, a step lighter or darker: from the palette where it is there, else it is gathered. */
function addShade(): void {
  const own = pass.value.colour ?? props.planned.part.colour;
  const now = pass.value.shades.length === 0 ? [own] : pass.value.shades;
  const rungs = now.map(shadeOfColour);
  const range = threads.ranges.find(({ id }) => id === rungs.at(-1)!.range) ?? threads.ranges[0]!;
  const next = nextRung(
    rungs,
    range.shades.map((shade) => rungs.find((rung) => isSameShade(rung, shade)) ?? shade),
  );
  // Gathered and used by one press: undone by one.
  const mergeKey = `shade ${Date.now()}`;
  const gathered = next && gatherShades(opened.piece, [refOf(next)]);
  if (gathered) opened.edit({ ...gathered, mergeKey });
  const known = opened.piece.palette.find(({ shade, second }) => next && isSameShade(shade, next) && second === null);
  setShades((shades) => [...(shades.length === 0 ? [own] : shades), known?.id ?? own], mergeKey);
}
function removeShade(i: number): void {
  const changed = ({ shades, shadeStrands }: Pass): Partial<Pass> => {
    const without = <Item,>(list: readonly Item[]): Item[] => list.filter((_, k) => k !== i);
    return shades.length > 2
      ? { shades: without(shades), shadeStrands: without(shadeStrands) }
      : { shades: [], shadeStrands: [], inTurn: false };
  };
  emit('change', changed, 'Change the shades', null);
}
const centre = computed(() => pass.value.points[0] ?? null);
function moveCentre(axis: 0 | 1, value: number): void {
  const moved = ({ points }: Pass): Partial<Pass> => {
    const [x, y] = points[0] ?? centre.value ?? [0, 0];
    return { points: [axis === 0 ? [value, y] : [x, value]] };
  };
  emit('change', moved, 'Move the centre point', 'centre');
}

/** The needles in the order in which they are taken up. */
const needles = computed(() =>
  pass.value.needles.map(({ family, size, shaftMm }) =>
    say.needleInUse(NEEDLE_NAMES[family], size, formatFine(shaftMm)),
  ),
);
const dial = computed(() => {
  const angle = (pass.value.angleDeg * Math.PI) / 180;
  return { dx: Math.cos(angle) * 12, dy: -Math.sin(angle) * 12 };
});
</script>

<template>
  <div class="editor">
    <ChoiceField
      v-if="isOneKind"
      class="wide"
      label="Stitch"
      :value="common(({ stitch }) => stitch)"
      :options="stitches"
      @change="(stitch) => emit('stitch', stitch)"
    />
    <ChoiceField label="Thread" :value="common(({ thread }) => thread)" :options="THREADS" @change="setThread" />
    <ChoiceField label="Strands" :value="common((own) => own.strands)" :options="strands" @change="setStrands" />
    <ChoiceField
      v-if="pass.role !== 'filling'"
      label="Colour of this layer"
      :value="common((own) => own.colour ?? PARTS_OWN)"
      :options="colourChoices"
      @change="setColour"
    />
    <template v-if="isOneStitch && kind.secondThread !== null">
      <ChoiceField
        class="wide"
        :label="say.threadThat(kind.secondThread)"
        :value="common((own) => (own.second === null ? PARTS_OWN : (own.second.colour ?? planned.part.colour)))"
        :options="secondColours"
        @change="setSecondColour"
      />
      <template v-if="second !== null">
        <ChoiceField
          label="Second thread"
          :value="common((own) => own.second?.thread ?? own.thread)"
          :options="THREADS"
          @change="(thread) => setSecond({ thread })"
        />
        <ChoiceField
          label="Strands of the second thread"
          :value="common((own) => own.second?.strands ?? own.strands)"
          :options="secondStrands"
          @change="(strands) => setSecond({ strands })"
        />
      </template>
    </template>
    <ChoiceField
      v-if="hasDirection"
      label="Stitches run"
      :value="common(({ direction }) => direction)"
      :options="directions"
      @change="setDirection"
    />
    <NumberField
      v-if="isOneStitch && kind.hasDirection && (common(({ direction }) => direction) === 'straight' || !hasDirection)"
      label="Angle"
      :value="common(({ angleDeg }) => roundTo(angleDeg, 1))"
      :min="-360"
      :max="360"
      :step="5"
      unit="°"
      @change="setAngle"
    >
      <svg class="dial" viewBox="-14 -14 28 28" width="28" height="28" aria-hidden="true">
        <circle r="13" fill="none" stroke="var(--chalk)" />
        <line :x1="-dial.dx" :y1="-dial.dy" :x2="dial.dx" :y2="dial.dy" stroke="var(--madder)" stroke-width="2" />
      </svg>
    </NumberField>
    <div v-if="hasDirection && pass.direction === 'guides'" class="wide row">
      <NButton size="small" data-test="draw-guides" @click="takePen('guides')">Draw strokes in the hoop</NButton>
      <span class="small soft">{{
        planned.part.guides.length === 0
          ? 'None yet: stitches are straight until you draw some.'
          : say.strokesDrawn(planned.part.guides.length)
      }}</span>
      <NButton v-if="planned.part.guides.length > 0" size="small" @click="forgetGuides">Remove them</NButton>
    </div>
    <template v-if="hasDirection && pass.direction === 'radial'">
      <div class="wide row">
        <NButton size="small" data-test="pick-centre" @click="takePen('centre')">Press the point in the hoop</NButton>
        <span v-if="!centre" class="small soft">None yet: the widest place is used.</span>
      </div>
      <template v-if="centre">
        <NumberField
          label="Point from centre, right"
          :value="roundTo(centre[0], 1)"
          :min="-1e5"
          :max="1e5"
          :step="0.5"
          unit="mm"
          @change="(x) => moveCentre(0, x)"
        />
        <NumberField
          label="Point from centre, down"
          :value="roundTo(centre[1], 1)"
          :min="-1e5"
          :max="1e5"
          :step="0.5"
          unit="mm"
          @change="(y) => moveCentre(1, y)"
        />
      </template>
    </template>
    <div v-if="usesVein" class="wide row">
      <NButton size="small" data-test="move-vein" @click="takePen('vein')">Move the middle line</NButton>
      <NButton v-if="planned.part.vein !== null" size="small" @click="forgetVein">Back to the suggested line</NButton>
    </div>
    <OutlineRun
      v-if="pass.role === 'outline'"
      :planned="planned"
      :pass="pass"
      :index="index"
      @change="(...change) => emit('change', ...change)"
    />
    <NumberField
      v-if="pass.role === 'beside'"
      label="Distance from the line"
      hint="To its left as it was drawn. Enter 0 to lie on it, a negative number to lie to its right."
      :value="pass.insetMm"
      :min="INSET_MM.least"
      :max="INSET_MM.most"
      :step="0.5"
      unit="mm"
      @change="(insetMm) => emit('change', { insetMm }, 'Move the second line', 'inset')"
    />
    <div v-if="pass.role === 'accent'" class="wide row">
      <NButton size="small" data-test="place-points" @click="takePen('points')">Place them in the hoop</NButton>
      <span class="small soft">{{ say.pointsPlaced(pass.points.length) }}</span>
      <NButton
        v-if="pass.points.length > 0"
        size="small"
        @click="emit('change', ({ points }) => ({ points: points.slice(0, -1) }), 'Remove a highlight', null)"
        >Remove the last one</NButton
      >
    </div>
    <fieldset v-if="isOneStitch && kind.canShade" class="wide shades">
      <legend>Shades, in the order of the rows</legend>
      <div v-for="(shade, i) in pass.shades" :key="i" class="row shade">
        <ChoiceField
          :label="say.shadeN(i + 1)"
          :value="shade"
          :options="colours"
          @change="(id) => setShades((now) => now.map((own, k) => (k === i ? id : own)))"
        />
        <ChoiceField
          class="of-shade"
          :label="say.strandsOfShade(i + 1)"
          :value="pass.shadeStrands[i] ?? pass.strands"
          :options="strands"
          @change="(n) => setShadeStrands(i, n)"
        />
        <NButton quaternary size="tiny" :aria-label="say.removeShade(i + 1)" @click="removeShade(i)"
          ><Trash2 :size="15"
        /></NButton>
      </div>
      <div class="row">
        <NButton v-if="pass.shades.length < MOST_SHADES" size="small" data-test="add-shade" @click="addShade">{{
          pass.shades.length === 0 ? 'Work it in several shades' : 'Add a shade'
        }}</NButton>
        <template v-if="pass.shades.length > 1">
          <NButton size="small" @click="takePen('borders')">Draw the borders</NButton>
          <NButton v-if="planned.part.borders.length > 0" size="small" @click="forgetBorders"
            >Make the shades equal</NButton
          >
        </template>
      </div>
      <NCheckbox
        v-if="pass.shades.length > 1"
        :checked="pass.inTurn"
        data-test="in-turn"
        @update:checked="(inTurn) => emit('change', { inTurn }, inTurn ? IN_TURN : ONE_BY_ONE, null)"
        >Needles take turns, zone by zone</NCheckbox
      >
    </fieldset>
    <ChoiceField
      v-if="isOneStitch && kind.hasFirstRow"
      label="Strands in the first row"
      :value="common((own) => own.firstRowStrands ?? 0)"
      :options="firstRowChoices"
      @change="(n) => emit('change', { firstRowStrands: n === 0 ? null : n }, 'Change the first row', null)"
    />
    <template v-for="{ key, param, value } in params" :key="key">
      <NumberField
        v-if="param.type === 'number'"
        :label="param.label"
        :hint="param.hint"
        :value="value === null ? null : roundTo(Number(value), 2)"
        :min="param.min"
        :max="param.max"
        :step="param.step"
        :unit="param.unit"
        @change="(next) => setParam(key, param.label, next)"
      />
      <ChoiceField
        v-else
        :label="param.label"
        :value="value === null ? null : String(value)"
        :options="param.options"
        @change="(next) => setParam(key, param.label, next)"
      />
    </template>
    <p v-if="layer.passes.length === 1" class="wide small soft">{{ widthsOf(pass) }} {{ say.needlesUsed(needles) }}</p>
  </div>
</template>

<style scoped>
.editor {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px 14px;
}
.wide {
  grid-column: 1 / -1;
}
.shades {
  border: 0;
  border-top: 1px solid var(--chalk);
  padding: 8px 0 0;
  margin: 0;
  display: grid;
  gap: 8px;
}
.shades legend {
  font-size: 13px;
  color: var(--ink-soft);
  padding: 0 6px 0 0;
}
.shade {
  flex-wrap: nowrap;
  align-items: end;
}
.shade :deep(.field) {
  flex: 1;
}
.shade .of-shade {
  flex: 0 0 112px;
}
.dial {
  flex: none;
}
</style>
