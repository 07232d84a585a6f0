<script setup lang="ts">
import { DEFAULT_THREAD, strandChoices, threadKind, type ThreadId } from '@junctura/core/materials';
import { formatDuration, formatNumber, formatPercent, formatThread } from '@junctura/core/measure';
import { plainPass, setPasses, type Pass } from '@junctura/core/piece';
import { inWorkingOrder, SPAN_LIMIT_MM, TREATMENT } from '@junctura/core/propose';
import { passesAsWorked, type PlannedPass } from '@junctura/core/work';
import { STITCHES, stitchKind, type StitchId } from '@junctura/core/stitches';
import { NButton } from 'naive-ui';
import { computed, ref, shallowRef, watch } from 'vue';
import { RouterLink, useRouter } from 'vue-router';
import { compareOn, SHIPPED_SHAPES, USUAL_DEG } from './compare.ts';
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
const CHOICES = STITCHES.filter(({ worksOn }) => worksOn === 'area').map(({ id, name }) => ({
  value: id,
  label: name,
}));

const FIRST: readonly StitchId[] = ['satin', 'satin-leaf', 'long-short', 'split-fill', 'chain-fill', 'french-fill'];
const asUsual = (stitch: StitchId, thread = DEFAULT_THREAD, strands = 2, angleDeg = USUAL_DEG): Pass => ({
  ...plainPass(stitch, thread, strands),
  angleDeg,
});
/** How each filling is worked: stitch, thread, strands, direction and whatever differs from the usual. */
const fillings = shallowRef<readonly Pass[]>(FIRST.map((stitch) => asUsual(stitch)));
// On a part of one's own it begins with how that is worked now, and the others are in its thread and direction.
watch(
  () => ownPart.value?.part.id,
  () => {
    const now = ownPart.value && passesAsWorked(ownPart.value).find(({ role }) => role === 'filling');
    const planned = ownPart.value?.passes.find(({ role }) => role === 'filling');
    if (!now || !planned || !CHOICES.some(({ value }) => value === now.stitch)) return;
    const angleDeg = ((Math.round(planned.angleDeg) % 180) + 180) % 180;
    const others = FIRST.filter((stitch) => stitch !== now.stitch).map((stitch) =>
      asUsual(stitch, now.thread, now.strands, angleDeg),
    );
    fillings.value = [{ ...now, angleDeg }, ...others].slice(0, MOST);
  },
  { immediate: true },
);
const compared = computed(() =>
  fillings.value.map((filling) => ({
    filling,
    kind: stitchKind(filling.stitch),
    ...compareOn(shape.value.placed, filling, settings.factors, settings.units),
  })),
);

function change(i: number, to: Partial<Pass>): void {
  fillings.value = fillings.value.map((now, k) => (k === i ? { ...now, ...to } : now));
}
/** Another stitch is worked as is usual for it, in the same thread and direction. */
function changeStitch(i: number, stitch: StitchId): void {
  const { thread, strands, angleDeg } = fillings.value[i]!;
  change(i, asUsual(stitch, thread, strands, angleDeg ?? USUAL_DEG));
}
const strandOptions = (thread: ThreadId): { value: number; label: string }[] =>
  strandChoices(threadKind(thread)).map((n) => ({ value: n, label: String(n) }));
const strandMetres = ({ strands, quantities }: PlannedPass): string =>
  formatThread(quantities.threadMm * strands, settings.units);
function add(): void {
  const next = CHOICES.find(({ value }) => fillings.value.every(({ stitch }) => stitch !== value));
  const { thread, strands, angleDeg } = fillings.value[0]!;
  if (next) fillings.value = [...fillings.value, asUsual(next.value, thread, strands, angleDeg ?? USUAL_DEG)];
}

/** Where the part that is compared on is worked. */
const place = computed(() => ({ name: 'piece', params: { id: opened.piece.id, step: 'stitches' } }));
function backToPart(): Promise<unknown> {
  if (ownPart.value) selection.pick([ownPart.value.part.id]);
  return router.push(place.value);
}
/** Works the part in a filling as it is compared; edges, veins and accents that it has stay. */
function workItSo(filling: Pass): Promise<unknown> {
  const planned = ownPart.value!;
  const kept = passesAsWorked(planned).filter(({ role }) => role !== 'filling' && role !== 'padding');
  const label = useStitch(stitchKind(filling.stitch).inSentence);
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
        <NButton v-if="ownPart" size="small" data-test="back-to-part" @click="backToPart">Back to the part</NButton>
      </div>
      <div class="overview" role="region" aria-label="All fillings in one table" tabindex="0">
        <table data-test="overview">
          <thead>
            <tr>
              <th scope="col">Filling</th>
              <th scope="col">Strands</th>
              <th scope="col">Stitches</th>
              <th scope="col">Thread in the needle</th>
              <th scope="col">Single strands</th>
              <th scope="col">Stitching</th>
              <th scope="col">Threading</th>
              <th scope="col">Cloth shows</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="({ kind, pass, time, showing }, i) in compared" :key="i">
              <th scope="row">{{ ownPart && i === 0 ? say.asItIsNow(kind.name) : kind.name }}</th>
              <td class="figure">{{ formatNumber(pass.strands) }}</td>
              <td class="figure">{{ formatNumber(pass.quantities.stitches) }}</td>
              <td class="figure">{{ formatThread(pass.quantities.threadMm, settings.units) }}</td>
              <td class="figure">{{ strandMetres(pass) }}</td>
              <td class="figure">{{ formatDuration(time.stitchSeconds / 3600) }}</td>
              <td class="figure">{{ formatDuration(time.aroundSeconds / 3600) }}</td>
              <td class="figure" data-test="showing">{{ percent(showing) }}</td>
            </tr>
          </tbody>
        </table>
      </div>
      <ul class="grid">
        <li v-for="({ filling, kind, sample, pass, why }, i) in compared" :key="i" data-test="compared">
          <div class="choose">
            <ChoiceField
              :label="say.fillingN(i + 1)"
              :value="filling.stitch"
              :options="CHOICES"
              @change="(stitch) => changeStitch(i, stitch)"
            />
            <ChoiceField
              class="strands"
              label="Strands"
              :value="filling.strands"
              :options="strandOptions(filling.thread)"
              @change="(n) => change(i, { strands: n })"
            />
            <NumberField
              v-if="kind.hasDirection"
              class="direction"
              label="Direction"
              :value="filling.angleDeg ?? USUAL_DEG"
              :min="0"
              :max="179"
              :step="5"
              unit="°"
              @change="(n) => change(i, { angleDeg: n, direction: 'straight' })"
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
              <figcaption class="small soft">
                {{ say.onTheFront(formatThread(pass.quantities.frontMm, settings.units)) }}
              </figcaption>
            </figure>
            <figure>
              <SampleCanvas :sample="sample" :width="172" :hex="HEX" side="back" />
              <figcaption class="small soft">
                {{ say.onTheBack(formatThread(pass.quantities.backMm, settings.units)) }}
              </figcaption>
            </figure>
          </div>
          <p class="small">
            {{ kind.purpose }}
            <RouterLink :to="{ name: 'book', params: { id: filling.stitch } }">How it is worked</RouterLink>
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
            @click="workItSo(filling)"
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
  grid-auto-rows: max-content;
}
.settings-row {
  display: grid;
  grid-template-columns: minmax(200px, 320px) auto;
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
.choose :deep(.field.direction) {
  flex: none;
  width: 96px;
}
/* On a phone it is moved sideways. */
.overview {
  overflow-x: auto;
}
table {
  border-collapse: collapse;
  max-width: 860px;
}
th,
td {
  padding: 4px 14px 4px 0;
  text-align: right;
  font-weight: normal;
  border-bottom: 1px solid var(--chalk);
}
th:first-child {
  text-align: left;
}
thead th {
  color: var(--ink-soft);
  font-size: 14px;
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
}
</style>
