<script setup lang="ts">
import {
  DEFAULT_THREAD,
  laidWidthMm,
  NEEDLE_NAMES,
  strandChoices,
  THREAD_KINDS,
  threadKind,
  type ThreadId,
} from '@junctura/core/materials';
import { formatFine, formatThread } from '@junctura/core/measure';
import { isStitchId, STITCHES, stitchKind, type StitchId, type WorkedOn } from '@junctura/core/stitches';
import { useElementSize, useMemoize } from '@vueuse/core';
import { NInput } from 'naive-ui';
import { computed, ref } from 'vue';
import { RouterLink } from 'vue-router';
import LessonLinks from '../../ui/LessonLinks.vue';
import { findLessons } from './handling/lessons.ts';
import SampleCanvas from './SampleCanvas.vue';
import { sampleOf as workSample, threadFor } from '@junctura/core/paper';
import WorkingDrawing from './WorkingDrawing.vue';
import ChoiceField from '../../ui/ChoiceField.vue';
import BookHeader from './BookHeader.vue';
import { useSettings } from '../../session/settings.ts';
import { wholeWidth } from '@junctura/core/work';
import { stitchingAndThreading } from '../../session/words.ts';
import * as say from './words.ts';

const props = defineProps<{ id?: string }>();
const settings = useSettings();
/** The list is filtered at every letter that is typed: each sample is worked only once. */
const sampleOf = useMemoize(workSample);
const search = ref('');
const HEX = '#9c3a3f';
const FAMILIES: readonly { readonly on: WorkedOn; readonly name: string }[] = [
  { on: 'line', name: 'Along a line' },
  { on: 'area', name: 'To fill an area' },
  { on: 'spot', name: 'For a dot' },
];

const chosen = computed<StitchId>(() => (props.id !== undefined && isStitchId(props.id) ? props.id : 'chain'));
const kind = computed(() => stitchKind(chosen.value));
const strandsWanted = ref<number | null>(null);
const thread = ref<ThreadId>(DEFAULT_THREAD);
const THREADS = THREAD_KINDS.map(({ id, name }) => ({ value: id, label: name }));
/** What the thread can give, nearest to what is wanted. */
const choices = computed(() => strandChoices(threadKind(thread.value)).filter((n) => n <= 6));
const strands = computed(() => {
  const wanted = strandsWanted.value ?? kind.value.usualStrands;
  return choices.value.includes(wanted) ? wanted : choices.value.at(-1)!;
});
const strandOptions = computed(() => choices.value.map((n) => ({ value: n, label: String(n) })));
const sample = computed(() => sampleOf(chosen.value, strands.value, thread.value));
/** The same stitch in one to six strands, all at one scale. */
const byStrands = computed(() =>
  choices.value.map((n) => ({
    strands: n,
    sample: { ...sampleOf(chosen.value, n, thread.value), box: sampleOf(chosen.value).box },
  })),
);
const need = computed(() => threadFor(chosen.value, strands.value, thread.value, settings.own));
const worn = computed(() => {
  const { snags, loosens, isRaised } = kind.value;
  const words = [snags ? 'may catch' : '', loosens ? 'can work loose' : '', isRaised ? 'raised: work it last' : ''];
  return words.filter(Boolean).join('; ') || 'holds';
});
const needles = computed(() =>
  sample.value.pass.needles.map(({ family, size, shaftMm }) =>
    say.needleAndShaft(`${NEEDLE_NAMES[family]} ${size}`, formatFine(shaftMm)),
  ),
);

/** Hyphens, capitals and spaces are typed as they come: “long and short” finds long-and-short. */
function asSearched(text: string): string {
  return text
    .trim()
    .toLowerCase()
    .replace(/[-‐\s]+/g, ' ');
}
/** Found by name, by other names, by what it is good for: every word that is typed is somewhere there. */
const families = computed(() => {
  const wanted = asSearched(search.value).split(' ');
  return FAMILIES.map(({ on, name }) => ({
    name,
    stitches: STITCHES.filter((stitch) => {
      const text = asSearched([stitch.name, ...stitch.otherNames, stitch.purpose].join(' '));
      return stitch.worksOn === on && wanted.every((word) => text.includes(word));
    }).map(({ id, name: called }) => ({ id, name: called, sample: sampleOf(id) })),
  })).filter(({ stitches }) => stitches.length > 0);
});

/** Lessons in handling that are searched for, too. */
const lessons = computed(() => (search.value.trim().length < 3 ? [] : findLessons(search.value).map(({ id }) => id)));

const drawing = ref<HTMLElement | null>(null);
const { width } = useElementSize(drawing);
const strandWidth = computed(() => Math.max(120, Math.min(290, (width.value - 40) / 3)));
/** Front and back side by side where there is room for both. */
const pictureWidth = computed(() =>
  width.value > 560 ? Math.min(460, (width.value - 20) / 2) : Math.max(200, width.value),
);
</script>

<template>
  <main class="book">
    <BookHeader class="head" />
    <nav class="list" aria-label="Stitches">
      <NInput
        v-model:value="search"
        size="small"
        clearable
        placeholder="Search: stem, fleece, crewel…"
        :input-props="{ 'aria-label': 'Search the stitches' }"
      />
      <p v-if="lessons.length > 0" class="small" data-test="found-lessons">
        Techniques: <LessonLinks :lessons="lessons" />
      </p>
      <p v-if="families.length === 0 && lessons.length === 0" class="soft small">
        No stitch has that name. Try what it is for: leaf, curve, edge, dot.
      </p>
      <section v-for="family in families" :key="family.name">
        <h2>{{ family.name }}</h2>
        <ul>
          <li v-for="stitch in family.stitches" :key="stitch.id">
            <RouterLink
              :to="{ name: 'book', params: { id: stitch.id } }"
              :class="{ here: stitch.id === chosen }"
              replace
            >
              <SampleCanvas :sample="stitch.sample" :width="92" :hex="HEX" />
              <span>{{ stitch.name }}</span>
            </RouterLink>
          </li>
        </ul>
      </section>
    </nav>
    <article>
      <h2 class="title">{{ kind.name }}</h2>
      <p class="soft">{{ say.alsoCalled(kind.otherNames) }}</p>
      <p class="purpose">{{ kind.purpose }}</p>
      <div class="facts">
        <ChoiceField label="Thread" :value="thread" :options="THREADS" @change="(next) => (thread = next)" />
        <ChoiceField label="Strands" :value="strands" :options="strandOptions" @change="(n) => (strandsWanted = n)" />
        <dl>
          <dt>{{ say.takes(need.amount) }}</dt>
          <dd class="figure">
            {{ say.threadAndTime(formatThread(need.threadMm, settings.units), stitchingAndThreading(need.time)) }}
          </dd>
          <dt>{{ needles.length > 1 ? 'Needles' : 'Needle' }}</dt>
          <dd>{{ needles.join('; then ') }}</dd>
          <dt>Wear and washing</dt>
          <dd>{{ worn }}</dd>
          <dt>Follows</dt>
          <dd>{{ kind.followsCurves ? 'curves of any kind' : 'straight edges and gentle curves' }}</dd>
          <template v-if="kind.coverWidths > 0 && kind.worksOn === 'line'">
            <dt>Covers</dt>
            <dd>
              {{ say.lineUpTo(formatFine(kind.coverWidths * laidWidthMm(threadKind(thread), strands))) }}
            </dd>
          </template>
        </dl>
      </div>
      <div ref="drawing"><WorkingDrawing :sample="sample" :hex="HEX" :width="pictureWidth" /></div>
      <section>
        <h3>{{ choices.length > 1 ? 'One to six strands, side by side' : 'In this thread' }}</h3>
        <ul class="strands">
          <li v-for="{ strands: n, sample: shown } in byStrands" :key="n">
            <SampleCanvas :sample="shown" :width="strandWidth" :hex="HEX" />
            <span class="small">{{
              say.strandsWide(n, formatFine(wholeWidth(shown.pass)?.widthMm ?? shown.pass.laidMm))
            }}</span>
          </li>
        </ul>
      </section>
      <div class="columns">
        <section>
          <h3>How it is worked</h3>
          <ol>
            <li v-for="line in kind.steps" :key="line">{{ line }}</li>
          </ol>
          <p class="small">
            <strong>To start:</strong> {{ kind.start }} <br />See the drawings:
            <LessonLinks :lessons="['waste-knot', 'tiny-stitches']" />.
          </p>
          <p class="small">
            <strong>To finish:</strong> {{ kind.end }} <br />See the drawings:
            <LessonLinks :lessons="['fastening-off']" />.
          </p>
        </section>
        <section>
          <h3>Faults and cures</h3>
          <dl class="faults">
            <template v-for="{ fault, cure, lesson } in kind.faults" :key="fault">
              <dt>{{ fault }}</dt>
              <dd>
                {{ cure }}<template v-if="lesson"> See the drawings: <LessonLinks :lessons="[lesson]" />.</template>
              </dd>
            </template>
          </dl>
        </section>
      </div>
    </article>
  </main>
</template>

<style scoped>
.book {
  height: 100%;
  display: grid;
  grid-template: auto minmax(0, 1fr) / 360px minmax(0, 1fr);
}
.head {
  grid-column: 1 / -1;
}
.list {
  overflow-y: auto;
  padding: 18px 18px 30px 24px;
  border-right: 1px solid var(--chalk);
}
.list h2 {
  font-size: 17px;
  margin: 18px 0 6px;
}
.list ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
.list a {
  display: flex;
  align-items: center;
  gap: 12px;
  padding: 4px 6px;
  border-radius: 8px;
  color: var(--ink);
  text-decoration: none;
}
.list a:hover,
.list a.here {
  background: var(--linen-deep);
}
.list a.here {
  font-weight: 600;
}
article {
  overflow-y: auto;
  padding: 24px 40px 50px;
  display: grid;
  /* No wider than its window: the drawing is as wide as its column, and would hold it open. */
  grid-template-columns: minmax(0, 1fr);
  gap: 14px;
  align-content: start;
}
.title {
  font-size: 32px;
}
.purpose {
  font-family: var(--serif);
  font-size: 18px;
}
.facts {
  display: flex;
  flex-wrap: wrap;
  gap: 12px 40px;
  align-items: start;
}
.facts dl {
  display: grid;
  grid-template-columns: max-content 1fr;
  gap: 3px 16px;
  margin: 0;
}
.facts dt,
.faults dd {
  color: var(--ink-soft);
}
dd {
  margin: 0;
}
.strands {
  list-style: none;
  margin: 6px 0 0;
  padding: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 12px 16px;
}
.strands li {
  display: grid;
  gap: 2px;
}
.columns {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(270px, 1fr));
  gap: 20px 40px;
}
ol {
  padding-left: 20px;
}
.faults dt {
  font-weight: 600;
}
.faults dd {
  margin-bottom: 8px;
}
@media (max-width: 820px) {
  .book {
    grid-template: auto minmax(0, 34vh) minmax(0, 1fr) / minmax(0, 1fr);
  }
  .list {
    border-right: 0;
    border-bottom: 1px solid var(--chalk);
    padding: 10px 16px;
  }
  article {
    padding: 16px 16px 40px;
  }
  .facts dl,
  .columns,
  .strands {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
