<script setup lang="ts">
import { DEFAULT_THREAD } from '@junctura/core/materials';
import { formatDuration, formatNumber, formatPercent, formatThread } from '@junctura/core/measure';
import { plainPass, setPasses } from '@junctura/core/piece';
import { inWorkingOrder, SPAN_LIMIT_MM, TREATMENT } from '@junctura/core/propose';
import { passesAsWorked } from '@junctura/core/work';
import { STITCHES, stitchKind, type StitchId } from '@junctura/core/stitches';
import { NButton } from 'naive-ui';
import { computed, ref, watch } from 'vue';
import { RouterLink, useRouter } from 'vue-router';
import { compareOn, SHIPPED_SHAPES } from './compare.ts';
import SampleCanvas from './SampleCanvas.vue';
import BookHeader from './BookHeader.vue';
import ChoiceField from '../../ui/ChoiceField.vue';
import NumberField from '../../ui/NumberField.vue';
import { useOpenedPiece } from '../../session/openedPiece.ts';
import { useWorkings } from '../../session/workings.ts';
import { useSelection } from '../../session/selection.ts';
import { useSettings } from '../../session/settings.ts';
import * as say from './words.ts';
import { useStitch } from '../../session/words.ts';

/** One shape worked in up to six fillings, side by side: front, back, figures and what they are made of. */
const opened = useOpenedPiece();
const workings = useWorkings();
const selection = useSelection();
const settings = useSettings();
const router = useRouter();
const HEX = '#9c3a3f';
const MOST = 6;

const own = computed(() =>
  (workings.current?.plan.parts ?? [])
    .filter(({ placed }) => placed.kind === 'area' && placed.box)
    .map(({ part, placed }) => ({ id: `part-${part.id}`, name: `${opened.piece.name}: ${part.name}`, placed })),
);
const shapes = computed(() => [...SHIPPED_SHAPES, ...own.value]);
const shapeId = ref(own.value.find(({ id }) => id === `part-${selection.picked[0]}`)?.id ?? 'leaf');
const shape = computed(() => shapes.value.find(({ id }) => id === shapeId.value) ?? shapes.value[0]!);
/** The part of one's own that is compared on; null: a shape of the book. */
const ownPart = computed(() => {
  const id = shapeId.value.startsWith('part-') ? shapeId.value.slice('part-'.length) : null;
  return workings.current?.plan.parts.find(({ part }) => part.id === id) ?? null;
});
const STRANDS = [1, 2, 3, 4, 5, 6].map((n) => ({ value: n, label: String(n) }));
const CHOICES = STITCHES.filter(({ worksOn }) => worksOn === 'area').map(({ id, name }) => ({
  value: id,
  label: name,
}));

interface Filling {
  readonly stitch: StitchId;
  readonly strands: number;
}
const FIRST: readonly StitchId[] = ['satin', 'satin-leaf', 'long-short', 'split-fill', 'chain-fill', 'french-fill'];
const fillings = ref<Filling[]>(FIRST.map((stitch) => ({ stitch, strands: 2 })));
const angleDeg = ref(60);
// On a part of one's own it begins with how that is worked now.
watch(
  () => ownPart.value?.part.id,
  () => {
    const now = ownPart.value?.passes.find(({ role }) => role === 'filling');
    if (!now || !CHOICES.some(({ value }) => value === now.stitch)) return;
    angleDeg.value = ((Math.round(now.angleDeg) % 180) + 180) % 180;
    const others = fillings.value.filter(({ stitch }) => stitch !== now.stitch);
    fillings.value = [{ stitch: now.stitch, strands: now.strands }, ...others].slice(0, MOST);
  },
  { immediate: true },
);
const compared = computed(() =>
  fillings.value.map(({ stitch, strands }) => ({
    id: stitch,
    strands,
    kind: stitchKind(stitch),
    ...compareOn(shape.value.placed, stitch, strands, angleDeg.value, settings.factors, settings.units),
  })),
);

function change(i: number, to: Partial<Filling>): void {
  fillings.value = fillings.value.map((now, k) => (k === i ? { ...now, ...to } : now));
}
function add(): void {
  const next = CHOICES.find(({ value }) => fillings.value.every(({ stitch }) => stitch !== value));
  if (next) fillings.value = [...fillings.value, { stitch: next.value, strands: 2 }];
}

/** Where the part that is compared on is worked. */
const place = computed(() => ({ name: 'piece', params: { id: opened.piece.id, step: 'stitches' } }));
function backToPart(): Promise<unknown> {
  if (ownPart.value) selection.pick([ownPart.value.part.id]);
  return router.push(place.value);
}
/** Works the part in a filling as it is compared; edges, veins and accents that it has stay. */
function workItSo({ stitch, strands }: Filling): Promise<unknown> {
  const planned = ownPart.value!;
  const kept = passesAsWorked(planned).filter(({ role }) => role !== 'filling' && role !== 'padding');
  const before = passesAsWorked(planned).find(({ role }) => role === 'filling');
  const filling = { ...plainPass(stitch, before?.thread ?? DEFAULT_THREAD, strands), angleDeg: angleDeg.value };
  const label = useStitch(stitchKind(stitch).inSentence);
  opened.edit(setPasses(opened.piece, new Map([[planned.part.id, inWorkingOrder([...kept, filling])]]), label));
  return backToPart();
}
function percent(share: number): string {
  return share < 0.005 ? 'hardly any' : formatPercent(share);
}
</script>

<template>
  <main class="compare">
    <BookHeader />
    <div class="body">
      <p class="soft">
        One shape, worked by the same hand in up to six ways.
        <template v-if="own.length === 0">Open a piece first, and you can compare its own parts here too.</template>
      </p>
      <div class="settings-row">
        <ChoiceField
          label="Shape"
          :value="shapeId"
          :options="shapes.map(({ id, name }) => ({ value: id, label: name }))"
          @change="(id) => (shapeId = id)"
        />
        <NumberField
          label="Direction"
          :value="angleDeg"
          :min="0"
          :max="179"
          :step="5"
          unit="°"
          @change="(n) => (angleDeg = n)"
        />
        <NButton v-if="ownPart" size="small" data-test="back-to-part" @click="backToPart">Back to the part</NButton>
      </div>
      <ul class="grid">
        <li v-for="({ id, strands, kind, sample, pass, showing, why }, i) in compared" :key="i" data-test="compared">
          <div class="choose">
            <ChoiceField
              :label="say.fillingN(i + 1)"
              :value="id"
              :options="CHOICES"
              @change="(stitch) => change(i, { stitch })"
            />
            <ChoiceField
              class="strands"
              label="Strands"
              :value="strands"
              :options="STRANDS"
              @change="(n) => change(i, { strands: n })"
            />
            <NButton
              v-if="fillings.length > 1"
              quaternary
              size="small"
              :aria-label="say.leaveOut(kind.inSentence)"
              @click="fillings = fillings.filter((_, k) => k !== i)"
              >✕</NButton
            >
          </div>
          <div class="sides">
            <figure>
              <SampleCanvas :sample="sample" :width="172" :hex="HEX" />
              <figcaption class="small soft">on the front</figcaption>
            </figure>
            <figure>
              <SampleCanvas :sample="sample" :width="172" :hex="HEX" side="back" />
              <figcaption class="small soft">on the back</figcaption>
            </figure>
          </div>
          <dl>
            <dt>Stitches</dt>
            <dd class="figure">{{ formatNumber(pass.quantities.stitches) }}</dd>
            <dt>Thread</dt>
            <dd class="figure">{{ formatThread(pass.quantities.threadMm, settings.units) }}</dd>
            <dt>on the front</dt>
            <dd class="figure">{{ formatThread(pass.quantities.frontMm, settings.units) }}</dd>
            <dt>on the back</dt>
            <dd class="figure">{{ formatThread(pass.quantities.backMm, settings.units) }}</dd>
            <dt>Time</dt>
            <dd class="figure">{{ formatDuration(pass.quantities.seconds / 3600) }}</dd>
            <dt>Cloth shows</dt>
            <dd class="figure" data-test="showing">{{ percent(showing) }}</dd>
          </dl>
          <p class="small">
            {{ kind.purpose }} <RouterLink :to="{ name: 'book', params: { id } }">How it is worked</RouterLink>
          </p>
          <details class="small" data-test="why">
            <summary>Where these figures come from</summary>
            <p v-for="line in why" :key="line">{{ line }}</p>
          </details>
          <NButton
            v-if="ownPart"
            size="small"
            data-test="work-it-so"
            :aria-label="say.workPartIn(ownPart.part.name, kind.inSentence)"
            @click="workItSo({ stitch: id, strands })"
            >Use this</NButton
          >
        </li>
        <li v-if="fillings.length < MOST" class="add"><NButton @click="add">Add a filling</NButton></li>
      </ul>
      <section class="about">
        <h2>What is suggested, and why</h2>
        <p>
          A suggestion starts from the <strong>shape</strong> of a part: its widest circle, its middle line and how far
          that turns, its corners, and how much of its length times width it fills. Discs, leaves, petals, bands, blocks
          and jagged shapes each have a treatment of their own, as a teacher would give it.
        </p>
        <p>
          {{ say.whatHolds(SPAN_LIMIT_MM, TREATMENT.easySatinMm, TREATMENT.shortestSatinMm) }}
        </p>
        <p>
          {{ say.whatIsBeside(TREATMENT.leastTurnDeg) }}
        </p>
      </section>
    </div>
  </main>
</template>

<style scoped>
.compare {
  height: 100%;
  display: grid;
  grid-template-rows: auto minmax(0, 1fr);
}
.body {
  overflow-y: auto;
  padding: 20px 28px 48px;
  display: grid;
  gap: 16px;
  align-content: start;
}
.settings-row {
  display: grid;
  grid-template-columns: minmax(200px, 320px) 150px auto;
  justify-content: start;
  align-items: end;
  gap: 14px;
}
.grid {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(356px, 1fr));
  gap: 26px 30px;
}
.grid li {
  display: grid;
  gap: 8px;
  align-content: start;
}
.choose {
  display: flex;
  align-items: end;
  gap: 6px;
  max-width: 356px;
}
.choose :deep(.field) {
  flex: 1;
}
.sides {
  display: flex;
  gap: 10px;
}
.choose :deep(.field.strands) {
  flex: none;
  width: 84px;
}
.grid li > button {
  justify-self: start;
}
details p {
  margin: 6px 0 0;
  color: var(--ink-soft);
  max-width: 46ch;
}
summary {
  cursor: pointer;
}
.about {
  max-width: 68ch;
  display: grid;
  gap: 10px;
  margin-top: 12px;
}
.about p {
  margin: 0;
}
figure {
  margin: 0;
}
li a {
  color: var(--ink-soft);
}
dl {
  display: grid;
  grid-template-columns: repeat(6, auto);
  justify-content: start;
  gap: 0 14px;
  margin: 0;
  grid-auto-flow: column;
  grid-template-rows: auto auto;
}
dt {
  font-size: 13px;
  color: var(--ink-soft);
}
dd {
  margin: 0;
}
.add {
  place-content: center;
}
@media (max-width: 700px) {
  .body {
    padding: 16px 16px 40px;
  }
  .settings-row {
    grid-template-columns: minmax(0, 1fr);
  }
  .grid {
    grid-template-columns: minmax(0, 1fr);
  }
  .sides,
  .choose {
    flex-wrap: wrap;
  }
  dl {
    grid-auto-flow: row;
    grid-template-rows: none;
    grid-template-columns: auto 1fr;
  }
}
</style>
