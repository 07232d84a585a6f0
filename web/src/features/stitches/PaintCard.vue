<script setup lang="ts">
import { mapPoints } from '@junctura/core/geometry';
import { DEFAULT_THREAD, refOf, type Shade } from '@junctura/core/materials';
import { setGuides, setPainting, setPasses, setWorker, type Piece } from '@junctura/core/piece';
import { paintPart, passesAsWorked, type OwnFactors, type PlannedPart } from '@junctura/core/work';
import { NButton, NCheckbox } from 'naive-ui';
import { computed, onBeforeUnmount, ref, shallowRef, watch } from 'vue';
import ErrorCurve from '../../ui/ErrorCurve.vue';
import NumberField from '../../ui/NumberField.vue';
import { useOpenedPiece } from '../../session/openedPiece.ts';
import { useSelection } from '../../session/selection.ts';
import { useSettings } from '../../session/settings.ts';
import { useThreadBox } from '../../session/threadBox.ts';
import { useWorkings } from '../../session/workings.ts';
import type { JobOutput } from '../../workers/jobs.ts';
import PaintLook from './PaintLook.vue';
import PaintOnTop from './PaintOnTop.vue';
import PaintShades from './PaintShades.vue';
import * as say from './words.ts';
import { comesLater } from '../../ui/comesLater.ts';

const PaintWays = comesLater(() => import('./PaintWays.vue'));

/** A part painted from the picture below: its shades, the lie of its stitches, what matters most, how near it comes. */
const props = defineProps<{ planned: PlannedPart }>();
const opened = useOpenedPiece();
const workings = useWorkings();
const selection = useSelection();
const settings = useSettings();
const threads = useThreadBox();

const [LEAST, USUAL, MOST] = [4, 24, 50];
const part = computed(() => props.planned.part);
const pass = computed(() => props.planned.passes.find(({ stitch }) => stitch === 'needle-painting') ?? null);
const hasPicture = computed(() => opened.piece.drawing.underlay !== null);
const count = ref(pass.value?.shades.length ?? USUAL);
const ownedOnly = ref(false);
/** By range and code: what a worker answers are other objects. */
const keyOf = ({ range, code }: Shade): string => `${range} ${code}`;
const pinned = shallowRef<ReadonlySet<string>>(new Set());
const forbidden = shallowRef<ReadonlySet<string>>(new Set());
const found = shallowRef<JobOutput<'paintShades'>>(null);
const isLooking = ref(false);
const problem = ref<string | null>(null);
const chosen = computed(() => found.value?.shades.slice(0, Math.max(count.value, pinned.value.size)) ?? []);

const asked = (): { piece: Piece; factors: OwnFactors; part: string } => ({
  piece: opened.piece,
  factors: settings.factors,
  part: part.value.id,
});

/** What matters most, on the cloth. */
function eyesOnCloth(): [x: number, y: number, r: number][] {
  return (part.value.painting?.eyes ?? []).map(([x, y, r]) => {
    const [cx, cy] = mapPoints(props.planned.placed.toCloth, Float64Array.of(x, y));
    return [cx!, cy!, r * opened.piece.placement.scale];
  });
}

/** Whether ways to paint it are set side by side. */
const isComparing = ref(false);

/** Looks for shades, and works the part in the first of them. */
async function paint(): Promise<void> {
  if (await look()) work();
}
async function compare(): Promise<void> {
  isComparing.value = found.value !== null || (await look());
}
function take(shades: number): void {
  isComparing.value = false;
  count.value = shades;
  work();
}

/** Looks for shades; false where there are none. */
async function look(): Promise<boolean> {
  const { id } = part.value;
  isLooking.value = true;
  problem.value = null;
  await threads.load();
  const { owned, toBuy } = threads.offersIn([DEFAULT_THREAD]);
  const allowed = (shade: Shade): boolean => !forbidden.value.has(keyOf(shade));
  const input = {
    ...asked(),
    owned: owned.filter(allowed),
    toBuy: ownedOnly.value ? [] : toBuy.filter(allowed),
    pinned: [...owned, ...toBuy].filter((shade) => pinned.value.has(keyOf(shade))),
    eyes: eyesOnCloth(),
    count: MOST,
  };
  const answer = await workings.planner.ask('paintShades', input, { key: 'paintShades' });
  isLooking.value = false;
  if (answer === null || id !== part.value.id) return false;
  if (!answer.ok) problem.value = answer.problem;
  else if (!answer.value || answer.value.shades.length < 2) {
    problem.value = ownedOnly.value
      ? 'Your box has too few shades of stranded cotton: allow others to be bought as well.'
      : 'There is no picture under this part that can be read.';
  } else {
    found.value = answer.value;
    return true;
  }
  return false;
}

function work(): void {
  if (chosen.value.length > 0) opened.edit(paintPart(opened.piece, props.planned, chosen.value.map(refOf)));
}
/** Shades that were chosen and in which no stitch is. */
const unused = computed(() =>
  (pass.value?.threads ?? []).flatMap(({ colour, path }) =>
    colour !== null && path.starts.length === 0 ? [colour] : [],
  ),
);
/** Whether each shade is worked over all of it, where painters would go on from patch to patch. */
const isAllOver = computed(() => {
  const steps = workings.current?.plan.order.filter((step) => step.part === part.value.id) ?? [];
  return pass.value !== null && opened.piece.worker.byArea === 0 && steps.length > 1;
});
function dropUnused(): void {
  const passes = passesAsWorked(props.planned).map((own) =>
    own.stitch === 'needle-painting' ? { ...own, shades: own.shades.filter((id) => !unused.value.includes(id)) } : own,
  );
  opened.edit(setPasses(opened.piece, new Map([[part.value.id, passes]]), 'Remove unused shades'));
}
function setCount(next: number): void {
  count.value = next;
  if (found.value) work();
  else if (pass.value) void paint();
}
function pin(shade: Shade): void {
  const now = new Set(pinned.value);
  if (!now.delete(keyOf(shade))) now.add(keyOf(shade));
  pinned.value = now;
}
function forbid(shade: Shade): void {
  pinned.value = new Set([...pinned.value].filter((key) => key !== keyOf(shade)));
  forbidden.value = new Set([...forbidden.value, keyOf(shade)]);
  void paint();
}

/** The lie of the stitches, looked at anew when a stroke leads it. */
const isLieShown = ref(false);
watch([isLieShown, () => part.value.guides], async () => {
  if (!isLieShown.value) return void (selection.lie = null);
  const answer = await workings.planner.ask('lie', asked(), { key: 'lie' });
  if (answer?.ok && isLieShown.value) selection.lie = answer.value;
});
onBeforeUnmount(() => (selection.lie = null));
function draw(draws: 'guides' | 'eye'): void {
  if (draws === 'guides') isLieShown.value = true;
  selection.pen = { draws, part: part.value.id, pass: 0 };
}
</script>

<template>
  <section class="paint stack" aria-label="Painted from the picture">
    <h3>{{ pass ? 'Painted from the picture' : 'Paint it from the picture' }}</h3>
    <p v-if="!hasPicture" class="small soft">
      Its picture is gone. Bring it back with Undo, or choose another way to work this part.
    </p>
    <template v-else>
      <p v-if="!pass" class="small soft">
        One strand that follows the direction of fur, feathers or petals in the picture, each stitch in the shade at
        that place.
      </p>
      <NumberField label="Shades" :value="count" :min="LEAST" :max="MOST" unit="" @change="setCount" />
      <NCheckbox v-model:checked="ownedOnly" size="small">Only threads I own</NCheckbox>
      <div class="row">
        <NButton type="primary" size="small" :loading="isLooking" data-test="paint" @click="paint">{{
          pass ? 'Choose the shades again' : say.paintInShades(count)
        }}</NButton>
        <NButton size="small" :disabled="isLooking" @click="compare">Compare ways</NButton>
      </div>
      <PaintWays
        v-if="isComparing && found"
        :asked="{ ...asked(), shades: found.shades }"
        :count="Math.min(count, found.shades.length)"
        @take="take"
        @close="isComparing = false"
      />
      <p v-if="problem" class="small problem" role="alert">{{ problem }}</p>
      <template v-if="found">
        <ErrorCurve :errors="found.errors" :count="Math.min(count, found.errors.length)" @choose="setCount" />
        <PaintShades
          :shades="chosen"
          :pinned="chosen.filter((shade) => pinned.has(keyOf(shade)))"
          @pin="pin"
          @forbid="forbid"
        />
        <template v-if="found.picture">
          <p class="small soft">{{ say.detail(found.picture) }}</p>
          <p v-for="fault in found.picture.faults" :key="fault.id" class="small problem">
            {{ say.pictureFault(fault) }}
            <span v-if="'hex' in fault" class="swatch" :style="{ background: fault.hex }"></span>
          </p>
        </template>
      </template>
      <p v-if="unused.length > 0" class="small">
        {{ say.shadesForFew(unused.length, pass!.shades.length) }}
        <NButton size="tiny" @click="dropUnused">Leave them out</NButton>
      </p>
      <div class="row">
        <NButton size="small" @click="draw('guides')">Draw the direction of the hair</NButton>
        <NButton size="small" @click="draw('eye')">Mark an eye</NButton>
      </div>
      <p v-if="part.guides.length > 0" class="small">
        {{ say.strokesLead(part.guides.length) }}
        <NButton size="tiny" @click="opened.edit(setGuides(opened.piece, [part.id], [], 'Remove the strokes'))"
          >Remove</NButton
        >
      </p>
      <p v-if="part.painting?.eyes.length" class="small">
        {{ say.eyesMarked(part.painting.eyes.length) }}
        <NButton size="tiny" @click="opened.edit(setPainting(opened.piece, part.id, null, 'Remove the marks'))"
          >Remove</NButton
        >
      </p>
      <NCheckbox v-model:checked="isLieShown" size="small">Show stitch direction in chalk</NCheckbox>
      <p v-if="isAllOver" class="small">
        You are working by colour, so each shade goes all over the part.
        <NButton size="tiny" @click="opened.edit(setWorker(opened.piece, { byArea: 1 }))"
          >Go zone by zone, from back to front</NButton
        >
      </p>
      <PaintOnTop v-if="pass" :pass="pass" :asked="asked" />
      <PaintLook v-if="pass" :path="pass.path" :asked="asked" />
    </template>
  </section>
</template>

<style scoped>
.paint {
  gap: 8px;
  padding: 12px 0;
  border-top: 1px solid var(--chalk);
}
</style>
