<script setup lang="ts">
import { passesAsWorked, type PlannedPart } from '@junctura/core/work';
import FilledWith from './FilledWith.vue';
import LineUse from './LineUse.vue';
import PartGroup from './PartGroup.vue';
import { asPass, changeStitch, inWorkingOrder, type Offer, proposalInWords, withNewPass } from '@junctura/core/propose';
import type { ShadeRef } from '@junctura/core/materials';
import { plural } from '@junctura/core/measure';
import {
  groupMembers,
  setPartColour,
  setPasses,
  workInShade,
  type Edit,
  type Pass,
  type PassRole,
  colourName,
  shownColour,
  setFilledWith,
} from '@junctura/core/piece';
import { stitchKind, type StitchId } from '@junctura/core/stitches';
import { NButton } from 'naive-ui';
import { computed, ref, shallowRef, watch } from 'vue';
import ChoiceField from '../../ui/ChoiceField.vue';
import { RouterLink } from 'vue-router';
import LayerList from './PassList.vue';
import type { PassChange } from './passChange.ts';
import OpenLayer from './OpenLayer.vue';
import { ShadePicker } from '../colours/index.ts';
import { useOpenedPiece } from '../../session/openedPiece.ts';
import { useWorkings } from '../../session/workings.ts';
import { useSelection } from '../../session/selection.ts';
import { useSettings } from '../../session/settings.ts';
import { partSize, partsInWords, ROLE_WORDS, useStitch } from '../../session/words.ts';
import * as say from './words.ts';
import { inCommon, layerIndex, sharedLayers, type SharedLayer } from './sharedLayers.ts';
import { comesLater } from '../../ui/comesLater.ts';

/** Its needle paths are loaded when there is something to compare. */
const FindingsList = comesLater(() => import('../../session/FindingsList.vue'));
const PaintCard = comesLater(() => import('./PaintCard.vue'));
const PassPreview = comesLater(() => import('./PassPreview.vue'));
const opened = useOpenedPiece();

const workings = useWorkings();

const selection = useSelection();
const settings = useSettings();
/** The card of the part that is picked: how it is worked, its colour, what else it could be worked in. Of several: what they have in common. */
const props = defineProps<{ planned: PlannedPart }>();
/** Whether a choice is for all that are alike. */
const forAll = defineModel<boolean>('forAll', { required: true });
const shadesShown = ref(false);

/** The best ways to work each of some parts; what is asked with a key overtakes what was asked with it before. */
async function proposalsFor(parts: readonly string[], key?: string): Promise<readonly (readonly Offer[])[]> {
  const asked = { piece: opened.piece, factors: settings.factors, parts };
  const answer = await workings.planner.ask('proposals', asked, key === undefined ? {} : { key });
  return answer?.ok ? answer.value : [];
}
const colour = computed(() => opened.piece.palette.find(({ id }) => id === props.planned.part.colour));
const hex = computed(() => shownColour(workings.piece, props.planned.part.colour).hex);
const colours = computed(() =>
  opened.piece.palette.map((entry) => ({ value: entry.id, label: colourName(entry).name, hex: colourName(entry).hex })),
);

/** Every part that a choice made here is for: those picked, and their groups. */
const members = computed(() => {
  const picked = opened.piece.drawing.parts.filter((part) => selection.picked.includes(part.id));
  const all = picked.flatMap((part) => (forAll.value ? groupMembers(opened.piece, part) : [part]));
  return [...new Map(all.map((part) => [part.id, part])).values()];
});
/** The parts that are picked as they are planned, the one that is shown first. */
const picked = computed(() => {
  const others = selection.picked.filter((id) => id !== props.planned.part.id).map((id) => workings.plannedOf(id));
  return [props.planned, ...others.filter((other) => other !== null && other !== undefined)];
});
const isOne = computed(() => picked.value.length === 1);
const layers = computed(() => sharedLayers(picked.value));
/** What all of them are; null where areas, lines or dots are picked together. */
const kind = computed(() => inCommon(picked.value.map(({ part }) => part.kind)));
/** The best ways to work each of them. */
const offersOf = shallowRef<ReadonlyMap<string, readonly Offer[]>>(new Map());
/** Those that suit all that are picked. */
const offers = computed(() => {
  const [first, ...others] = picked.value.map(({ part }) => offersOf.value.get(part.id) ?? []);
  return first!.filter(({ pass }) => others.every((own) => own.some((offer) => offer.pass.stitch === pass.stitch)));
});
watch(
  [() => props.planned, () => members.value.map(({ id }) => id).join()],
  async () => {
    const ids = members.value.map(({ id }) => id);
    const found = await proposalsFor(ids, 'proposals');
    if (found.length > 0) offersOf.value = new Map(found.map((own, i) => [ids[i]!, own]));
  },
  { immediate: true },
);

/** The passes of a part as they are worked now, ready to be changed. */
function passesOf(partId: string): Pass[] {
  // The part as it is now: a plan may still be on its way to what was changed last.
  const part = opened.partOf(partId);
  const planned = workings.plannedOf(partId);
  return part && planned ? passesAsWorked({ part, passes: planned.passes }) : [];
}

/** What is done, and to what: by name where it is more than one part. */
function named(label: string): string {
  const names = members.value.map(({ name }) => name);
  return names.length > 1 ? `${label}: ${partsInWords(names)}` : label;
}

/** The same change of passes for every member that has the same kind, each from its own passes. */
function changePasses(
  label: string,
  change: (passes: Pass[], member: string) => Pass[],
  mergeKey: string | null = null,
): void {
  const changed = members.value.map((member): [string, Pass[]] => [member.id, change(passesOf(member.id), member.id)]);
  opened.edit(setPasses(opened.piece, new Map(changed), named(label), mergeKey));
}

/** Like parts may be turned: their stitches are turned by as much, not to the same angle. */
function change({ role, nth }: SharedLayer, change: PassChange, label: string, mergeKey: string | null): void {
  const changeOf = typeof change === 'function' ? change : () => change;
  const shownDeg = angleOf(props.planned.part.id, layerIndex(props.planned.passes, role, nth));
  const changed = (passes: Pass[], member: string): Pass[] => {
    const index = layerIndex(passes, role, nth);
    const apartDeg = isOne.value ? angleOf(member, index) - shownDeg : 0;
    return passes.map((pass, i) => (i === index ? changedPass(pass, changeOf(pass), apartDeg) : pass));
  };
  changePasses(label, changed, mergeKey);
}

/** @param apartDeg by how much the part's stitches are turned against those that are shown */
function changedPass(pass: Pass, part: Partial<Pass>, apartDeg: number): Pass {
  if (typeof part.angleDeg === 'number') return { ...pass, angleDeg: (part.angleDeg + apartDeg + 360) % 180 };
  return { ...pass, ...part, params: { ...pass.params, ...part.params } };
}

/** Another stitch lies in its own way, and keeps what was set where it has the same. */
function setStitch({ role, nth }: SharedLayer, stitch: StitchId): void {
  const own = passesOf(props.planned.part.id);
  const shown = own[layerIndex(own, role, nth)];
  if (!shown) return;
  const { kept, dropped } = changeStitch(shown, stitch, offers.value);
  changePasses(say.useStitchKeeping(stitchKind(stitch).inSentence, kept, dropped), (passes, member) => {
    const index = layerIndex(passes, role, nth);
    return passes.map((pass, i) =>
      i === index ? changeStitch(pass, stitch, offersOf.value.get(member) ?? []).pass : pass,
    );
  });
}

/** The layer that is open on the card: the filling, until another is chosen. */
const openLayer = ref<number | null>(null);
const openIndex = computed(() => {
  if (openLayer.value !== null && openLayer.value < layers.value.length) return openLayer.value;
  return Math.max(0, layerIndex(layers.value, 'filling', 0));
});
watch(
  () => selection.picked,
  () => (openLayer.value = null),
);

function addLayer(role: PassRole): void {
  const placedOf = new Map(workings.current?.plan.parts.map((entry) => [entry.part.id, entry.placed]));
  const grown = (passes: Pass[], member: string): Pass[] => withNewPass(passes, role, placedOf.get(member)!);
  const before = passesOf(props.planned.part.id);
  openLayer.value = grown(before, props.planned.part.id).findIndex((pass, i) => pass !== before[i]);
  changePasses(say.addLayer(ROLE_WORDS[role].add), grown);
}
function removeLayer(at: number): void {
  const { role, nth } = layers.value[at]!;
  openLayer.value = null;
  changePasses('Remove a layer', (passes) => passes.filter((_, i) => i !== layerIndex(passes, role, nth)));
}
function moveLayer(index: number, by: 1 | -1): void {
  openLayer.value = index + by;
  changePasses('Change the order of layers', (passes) => {
    const moved = [...passes];
    if (moved[index] && moved[index + by]) [moved[index], moved[index + by]] = [moved[index + by]!, moved[index]!];
    return moved;
  });
}

/** The direction in which a pass is worked now. */
function angleOf(partId: string, index: number): number {
  const part = workings.plannedOf(partId);
  return part?.passes[index]?.angleDeg ?? 0;
}

async function choose(offer: Offer): Promise<void> {
  const { piece } = opened;
  const chosenFor = members.value;
  const proposals = await proposalsFor(chosenFor.map(({ id }) => id));
  if (opened.piece !== piece) return;
  const { stitch } = offer.pass;
  const chosen = chosenFor.map((member, i): [string, Pass[]] => {
    // Each as it is proposed for itself: like parts may be turned.
    const layers = (proposals[i]?.find(({ pass }) => pass.stitch === stitch) ?? offer).layers.map(asPass);
    // What the person added stays: only what fills the part, and what was proposed with it, changes.
    const kept =
      member.passes === null ? [] : passesOf(member.id).filter(({ role }) => !layers.some((l) => l.role === role));
    return [member.id, inWorkingOrder([...kept.filter(({ role }) => role !== 'filling'), ...layers])];
  });
  opened.edit(setPasses(piece, new Map(chosen), named(useStitch(stitchKind(stitch).inSentence))));
}

function isNow({ layers }: Offer): boolean {
  return picked.value.every(
    ({ passes: now }) =>
      layers.length === now.length &&
      layers.every(({ role, stitch, strands, direction }) =>
        now.some(
          (pass) =>
            pass.role === role && pass.stitch === stitch && pass.strands === strands && pass.direction === direction,
        ),
      ),
  );
}

const isPaintedFrom = ({ passes }: PlannedPart): boolean => passes.some(({ stitch }) => stitch === 'needle-painting');
/** Its colour is the cloth’s, or all its layers were removed. */
const isLeftToCloth = computed(
  () => props.planned.part.passes?.length === 0 && props.planned.placed.box !== null && !props.planned.part.scrap,
);
function asProposed(): void {
  opened.edit(setPasses(opened.piece, new Map(members.value.map(({ id }) => [id, null])), 'Work as suggested'));
}

function inShade(shade: ShadeRef): void {
  const ids = members.value.map((part) => part.id);
  opened.edit(workInShade(opened.piece, ids, shade));
}

function recolour(id: string): void {
  const edit: Edit | null = setPartColour(
    opened.piece,
    members.value.map((part) => part.id),
    id,
  );
  opened.edit(edit);
}
</script>

<template>
  <div class="stack">
    <button type="button" class="plain soft small" @click="selection.pick([])">‹ All parts</button>
    <div>
      <h2>{{ isOne ? planned.part.name : plural(picked.length, 'part') }}</h2>
      <p class="soft">{{ isOne ? partSize(planned.placed, settings.units) : say.pickedTogether(picked) }}</p>
    </div>
    <PartGroup v-model:for-all="forAll" :picked="picked" />

    <FilledWith
      v-if="kind === 'area' && inCommon(picked.map(({ part }) => part.scrap === null)) !== null"
      :part="planned.part"
      :hex="hex"
      @fill="
        (filled) =>
          opened.edit(
            setFilledWith(
              opened.piece,
              members.map(({ id }) => id),
              filled,
            ),
          )
      "
    />

    <PaintCard
      v-if="isOne && planned.part.kind === 'area' && (opened.piece.drawing.underlay || isPaintedFrom(planned))"
      :key="planned.part.id"
      :planned="planned"
    />

    <LineUse
      v-if="kind === 'line'"
      :members="members"
      :is-open="planned.placed.shape.lines.some(({ closed }) => !closed)"
    />

    <LayerList
      v-if="layers.length > 0"
      :parts="picked"
      :layers="layers"
      :open="openIndex"
      :is-one-kind="kind !== null"
      @open="(at) => (openLayer = at)"
      @add="addLayer"
      @remove="removeLayer"
      @move="moveLayer"
    >
      <template #default="{ index }">
        <OpenLayer
          :parts="picked"
          :layer="layers[index]!"
          :is-one-kind="kind !== null"
          @change="(part, label, key) => change(layers[index]!, part, label, key)"
          @stitch="(stitch) => setStitch(layers[index]!, stitch)"
        />
      </template>
    </LayerList>
    <p v-if="!isOne && picked.some(({ passes }) => passes.length !== layers.length)" class="soft small">
      Some of these have more layers: pick one part to see all of its own.
    </p>
    <p v-if="isOne && planned.passes.length === 0 && !planned.part.printed && !planned.part.marking" class="soft">
      {{ planned.placed.box ? say.LEFT_TO_CLOTH : say.HIDDEN }}
    </p>
    <NButton v-if="isOne && isLeftToCloth" size="small" data-test="stitch-it" @click="asProposed">Stitch it</NButton>

    <div class="stack tight">
      <ChoiceField
        label="Colour"
        :value="inCommon(picked.map(({ part }) => part.colour))"
        :options="colours"
        @change="recolour"
      />
      <button type="button" class="plain link" :aria-expanded="shadesShown" @click="shadesShown = !shadesShown">
        {{ shadesShown ? 'Close the shade card' : 'Another shade…' }}
      </button>
      <ShadePicker
        v-if="shadesShown"
        :kinds="planned.passes.map(({ thread }) => thread)"
        :hex="hex"
        :chosen="colour?.shade ?? null"
        @choose="inShade"
      />
    </div>

    <FindingsList :parts="picked.map(({ part }) => part.id)" />

    <hr class="rule" />
    <div class="row heading">
      <h3>Other ways to work it</h3>
      <NButton
        v-if="picked.some(({ part }) => part.passes !== null)"
        size="small"
        data-test="as-proposed"
        @click="asProposed"
        >As suggested</NButton
      >
    </div>
    <RouterLink
      v-if="isOne && planned.placed.kind === 'area'"
      class="small"
      :to="{ name: 'compare' }"
      data-test="compare"
      >Compare fillings on this part, side by side</RouterLink
    >
    <p v-if="!isOne && offers.length === 0" class="soft small">
      No way suits all of these: pick parts that are alike, or choose a stitch above.
    </p>
    <button
      v-for="offer in offers"
      :key="`${offer.pass.stitch} ${offer.pass.direction}`"
      type="button"
      class="plain offer"
      :data-test="`offer-${offer.pass.stitch}`"
      :aria-pressed="isNow(offer)"
      @click="choose(offer)"
    >
      <PassPreview :placed="planned.placed" :pass="offer.pass" :hex="hex" />
      <span>
        <strong>{{ proposalInWords(offer) }}</strong><span v-if="isNow(offer)" class="small soft"> · in use now</span
        ><br />
        <span class="small soft">{{ offer.reason }}</span>
        <em v-if="offer.otherSchool" class="small soft school">{{ offer.otherSchool }}</em>
      </span>
    </button>
  </div>
</template>

<style scoped>
.tight {
  gap: 6px;
}
.heading {
  justify-content: space-between;
}
.offer {
  display: flex;
  gap: 12px;
  padding: 8px;
  margin: 0 -8px;
  border-radius: 8px;
  align-items: flex-start;
}
.offer:hover {
  background: var(--linen-deep);
}
.school {
  display: block;
  margin-top: 2px;
}
</style>
