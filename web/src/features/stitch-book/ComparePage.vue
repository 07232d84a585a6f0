<script setup lang="ts">
import { formatDuration, formatThread } from '@junctura/core/measure';
import { STITCHES, stitchKind, type StitchId } from '@junctura/core/stitches';
import { NButton } from 'naive-ui';
import { computed, ref } from 'vue';
import { RouterLink } from 'vue-router';
import { compareOn, SHIPPED_SHAPES } from './compare.ts';
import SampleCanvas from './SampleCanvas.vue';
import BookHeader from './BookHeader.vue';
import ChoiceField from '../../ui/ChoiceField.vue';
import NumberField from '../../ui/NumberField.vue';
import { useOpenedPiece } from '../../session/openedPiece.ts';
import { useWorkings } from '../../session/workings.ts';
import { useSelection } from '../../session/selection.ts';
import { useSettings } from '../../session/settings.ts';

/** One shape worked in up to six fillings, side by side: front, back, figures. */
const opened = useOpenedPiece();
const workings = useWorkings();
const selection = useSelection();
const settings = useSettings();
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
const strands = ref(2);
const STRANDS = [1, 2, 3, 4, 5, 6].map((n) => ({ value: n, label: String(n) }));
const angleDeg = ref(60);
const fillings = ref<StitchId[]>(['satin', 'satin-leaf', 'long-short', 'split-fill', 'chain-fill', 'french-fill']);
const CHOICES = STITCHES.filter(({ worksOn }) => worksOn === 'area').map(({ id, name }) => ({
  value: id,
  label: name,
}));
const compared = computed(() =>
  fillings.value.map((id) => ({
    id,
    kind: stitchKind(id),
    ...compareOn(shape.value.placed, id, strands.value, angleDeg.value, settings.factors),
  })),
);

function change(i: number, id: StitchId): void {
  fillings.value = fillings.value.map((now, k) => (k === i ? id : now));
}
function add(): void {
  const next = CHOICES.find(({ value }) => !fillings.value.includes(value));
  if (next) fillings.value = [...fillings.value, next.value];
}
function percent(share: number): string {
  return share < 0.005 ? 'hardly any' : `${Math.round(share * 100)} %`;
}
</script>

<template>
  <main class="compare">
    <BookHeader />
    <div class="body">
      <p class="soft">
        The same shape, worked by the same hand in up to six ways.
        <template v-if="own.length === 0">Open a piece first and its own parts can be compared here too.</template>
      </p>
      <div class="settings-row">
        <ChoiceField
          label="Shape"
          :value="shapeId"
          :options="shapes.map(({ id, name }) => ({ value: id, label: name }))"
          @change="(id) => (shapeId = id)"
        />
        <ChoiceField label="Strands of cotton" :value="strands" :options="STRANDS" @change="(n) => (strands = n)" />
        <NumberField
          label="Direction"
          :value="angleDeg"
          :min="0"
          :max="179"
          :step="5"
          unit="°"
          @change="(n) => (angleDeg = n)"
        />
      </div>
      <ul class="grid">
        <li v-for="({ id, kind, sample, pass, showing }, i) in compared" :key="i" data-test="compared">
          <div class="choose">
            <ChoiceField
              :label="`Filling ${i + 1}`"
              :value="id"
              :options="CHOICES"
              @change="(next) => change(i, next)"
            />
            <NButton
              v-if="fillings.length > 1"
              quaternary
              size="small"
              :aria-label="`Leave out ${kind.name}`"
              @click="fillings = fillings.filter((_, k) => k !== i)"
              >✕</NButton
            >
          </div>
          <div class="sides">
            <figure>
              <SampleCanvas :sample="sample" :width="172" :hex="HEX" />
              <figcaption class="small soft">in front</figcaption>
            </figure>
            <figure>
              <SampleCanvas :sample="sample" :width="172" :hex="HEX" side="back" />
              <figcaption class="small soft">behind</figcaption>
            </figure>
          </div>
          <dl>
            <dt>Stitches</dt>
            <dd class="figure">{{ pass.quantities.stitches.toLocaleString('en') }}</dd>
            <dt>Thread</dt>
            <dd class="figure">{{ formatThread(pass.quantities.threadMm, settings.units) }}</dd>
            <dt>Time</dt>
            <dd class="figure">{{ formatDuration(pass.quantities.seconds / 3600) }}</dd>
            <dt>Cloth shows</dt>
            <dd class="figure" data-test="showing">{{ percent(showing) }}</dd>
          </dl>
          <p class="small">
            {{ kind.purpose }} <RouterLink :to="{ name: 'book', params: { id } }">How it is worked</RouterLink>
          </p>
        </li>
        <li v-if="fillings.length < MOST" class="add"><NButton @click="add">One more filling</NButton></li>
      </ul>
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
  grid-template-columns: minmax(200px, 320px) 150px 150px;
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
figure {
  margin: 0;
}
li a {
  color: var(--ink-soft);
}
dl {
  display: grid;
  grid-template-columns: repeat(4, auto);
  justify-content: start;
  gap: 0 18px;
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
</style>
