<script setup lang="ts">
import type { Proposal } from '@junctura/core/advice';
import { formatDuration, formatThread } from '@junctura/core/measure';
import { groupMembers, setPartColour, setPasses, workInShade, type Edit, type Pass } from '@junctura/core/piece';
import { colourName, passesAsWorked } from '@junctura/core/plan';
import { stitchKind } from '@junctura/core/stitches';
import { NButton, NCheckbox } from 'naive-ui';
import { computed, ref } from 'vue';
import ChoiceField from '../components/ChoiceField.vue';
import { RouterLink } from 'vue-router';
import FindingsList from '../components/FindingsList.vue';
import PartsList from '../components/PartsList.vue';
import PassEditor from '../components/PassEditor.vue';
import PassPreview from '../components/PassPreview.vue';
import ShadePicker from '../components/ShadePicker.vue';
import ThreadBar from '../components/ThreadBar.vue';
import { useBench } from '../stores/bench.ts';
import { useSettings } from '../stores/settings.ts';
import { partSize } from './partWords.ts';

const bench = useBench();
const settings = useSettings();
const forAll = ref(true);
const shadesShown = ref(false);

const planned = computed(() => bench.workings?.plan.parts.find(({ part }) => part.id === bench.pickedPart?.id) ?? null);
const offers = computed<readonly Proposal[]>(() =>
  planned.value ? (bench.workings?.proposals.get(planned.value.part.id) ?? []) : [],
);
const colour = computed(() => bench.piece.palette.find(({ id }) => id === planned.value?.part.colour));
const hex = computed(() => (colour.value ? colourName(colour.value).hex : '#808080'));
const colours = computed(() =>
  bench.piece.palette.map((entry) => ({ value: entry.id, label: colourName(entry).name, hex: colourName(entry).hex })),
);

/** Every part that a choice made here is for: those picked, and their groups. */
const members = computed(() => {
  const picked = bench.piece.drawing.parts.filter((part) => bench.picked.includes(part.id));
  const all = picked.flatMap((part) => (forAll.value ? groupMembers(bench.piece, part) : [part]));
  return [...new Map(all.map((part) => [part.id, part])).values()];
});
const groupSize = computed(() => (planned.value ? groupMembers(bench.piece, planned.value.part).length : 1));

/** The passes of a part as they are worked now, ready to be changed. */
function passesOf(partId: string): Pass[] {
  const part = bench.workings?.plan.parts.find((entry) => entry.part.id === partId);
  return part ? passesAsWorked(part) : [];
}

/**
 * The same change for every member. Like parts may be turned: their stitches are turned by as much, not to the same angle.
 */
function change(index: number, part: Partial<Pass>, label: string, mergeKey: string | null): void {
  const turnDeg = (part.angleDeg ?? 0) - planned.value!.passes[index]!.angleDeg;
  const changed = members.value
    .filter((member) => member.kind === planned.value?.part.kind)
    .map((member): [string, Pass[]] => [
      member.id,
      passesOf(member.id).map((pass, i) =>
        i === index ? changedPass(pass, part, angleOf(member.id, i) + turnDeg) : pass,
      ),
    ]);
  bench.edit(setPasses(bench.piece, new Map(changed), label, mergeKey));
}

function changedPass(pass: Pass, part: Partial<Pass>, turnedDeg: number): Pass {
  if (typeof part.angleDeg === 'number') return { ...pass, angleDeg: (turnedDeg + 360) % 180 };
  return { ...pass, ...part, params: part.stitch ? {} : { ...pass.params, ...part.params } };
}

/** The direction in which a pass is worked now. */
function angleOf(partId: string, index: number): number {
  const part = bench.workings?.plan.parts.find((entry) => entry.part.id === partId);
  return part?.passes[index]?.angleDeg ?? 0;
}

function choose(offer: Proposal): void {
  const chosen = members.value.map((member): [string, Pass[]] => {
    const own = bench.workings?.proposals.get(member.id)?.find(({ pass }) => pass.stitch === offer.pass.stitch);
    return [member.id, [own?.pass ?? offer.pass]];
  });
  bench.edit(setPasses(bench.piece, new Map(chosen), `Work in ${stitchKind(offer.pass.stitch).name.toLowerCase()}`));
}

function isNow({ pass }: Proposal): boolean {
  const [now] = planned.value?.passes ?? [];
  return now?.stitch === pass.stitch && now.strands === pass.strands;
}

function asProposed(): void {
  bench.edit(setPasses(bench.piece, new Map(members.value.map(({ id }) => [id, null])), 'Work as proposed'));
}

function inShade(code: string): void {
  const ids = members.value.map((part) => part.id);
  bench.edit(workInShade(bench.piece, ids, code));
}

function recolour(id: string): void {
  const edit: Edit | null = setPartColour(
    bench.piece,
    members.value.map((part) => part.id),
    id,
  );
  bench.edit(edit);
}
</script>

<template>
  <div v-if="planned" class="stack">
    <button type="button" class="plain soft small" @click="bench.pick([])">‹ All parts</button>
    <div>
      <h2>{{ bench.picked.length > 1 ? `${bench.picked.length} parts` : planned.part.name }}</h2>
      <p class="soft">{{ partSize(planned.placed, settings.units) }}</p>
    </div>
    <NCheckbox v-if="groupSize > 1" v-model:checked="forAll" data-test="for-all"
      >Choose for all {{ groupSize }} that are alike</NCheckbox
    >

    <template v-for="(pass, i) in planned.passes" :key="i">
      <p class="reason">
        {{ pass.reason }}
        <RouterLink class="small" :to="{ name: 'book', params: { id: pass.stitch } }">How it is worked</RouterLink>
      </p>
      <PassEditor :planned="planned" :index="i" @change="(part, label, key) => change(i, part, label, key)" />
      <div class="why">
        <p>
          <strong class="figure">{{ formatThread(pass.quantities.threadMm, settings.units) }}</strong> of thread,
          <strong class="figure">{{ pass.quantities.stitches.toLocaleString('en') }}</strong>
          {{ pass.quantities.stitches === 1 ? 'stitch' : 'stitches' }},
          <strong class="figure">{{ formatDuration(pass.quantities.seconds / 3600) }}</strong> of stitching
        </p>
        <ThreadBar
          :front-mm="pass.quantities.frontMm"
          :back-mm="pass.quantities.backMm"
          :wrap-mm="pass.quantities.wrapMm"
          :through-mm="pass.quantities.throughMm"
          :slack-mm="pass.quantities.threadMm - pass.quantities.threadMm / (1 + bench.piece.worker.slack)"
          :lost-mm="0"
        />
      </div>
    </template>
    <p v-if="planned.passes.length === 0" class="soft">This part is not worked: it lies wholly behind others.</p>

    <div class="stack tight">
      <ChoiceField label="Colour" :value="planned.part.colour" :options="colours" @change="recolour" />
      <button type="button" class="plain link" :aria-expanded="shadesShown" @click="shadesShown = !shadesShown">
        {{ shadesShown ? 'Close the shade card' : 'Another shade…' }}
      </button>
      <ShadePicker v-if="shadesShown" :hex="hex" :chosen="colour?.shade ?? null" @choose="inShade" />
    </div>

    <FindingsList :part="planned.part.id" />

    <hr class="rule" />
    <div class="row heading">
      <h3>Other ways to work it</h3>
      <NButton v-if="planned.part.passes !== null" size="small" data-test="as-proposed" @click="asProposed"
        >As proposed</NButton
      >
    </div>
    <button
      v-for="offer in offers"
      :key="offer.pass.stitch"
      type="button"
      class="plain offer"
      :data-test="`offer-${offer.pass.stitch}`"
      :aria-pressed="isNow(offer)"
      @click="choose(offer)"
    >
      <PassPreview :placed="planned.placed" :pass="offer.pass" :hex="hex" />
      <span>
        <strong
          >{{ stitchKind(offer.pass.stitch).name }}, {{ offer.pass.strands }}
          {{ offer.pass.strands === 1 ? 'strand' : 'strands' }}</strong
        ><span v-if="isNow(offer)" class="small soft"> · as it is now</span><br />
        <span class="small soft">{{ offer.reason }}</span>
      </span>
    </button>
  </div>

  <div v-else class="stack">
    <h2>Stitches</h2>
    <p class="soft">
      Every part has a stitch proposed for its size and shape. Pick a part in the hoop or here to see why, and to change
      it.
    </p>
    <PartsList detail="stitch" />
  </div>
</template>

<style scoped>
.reason a {
  color: var(--ink-soft);
}
.reason {
  font-family: var(--serif);
  font-size: 16px;
}
.why {
  display: grid;
  gap: 6px;
}
.tight {
  gap: 6px;
}
.link {
  text-decoration: underline;
  text-underline-offset: 2px;
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
</style>
