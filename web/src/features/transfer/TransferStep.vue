<script setup lang="ts">
import { behindCloth, rankWays, redrawPlan, tackingFor } from '@junctura/core/transfer';
import { markOf } from '@junctura/core/materials';
import { FILM_RANGE_MM, filmSheet, patternPages, SHEETS, type Sheet } from '@junctura/core/paper';
import { stepsAfterStitching } from '@junctura/core/finish';
import { isPainted, setMark, setWorker } from '@junctura/core/piece';
import { NButton, NCheckbox } from 'naive-ui';
import { computed, reactive, ref } from 'vue';
import { RouterLink } from 'vue-router';
import ChoiceField from '../../ui/ChoiceField.vue';
import LengthField from '../../ui/LengthField.vue';
import NumberField from '../../ui/NumberField.vue';
import PagePreview from '../../ui/PagePreview.vue';
import PrinterCheck from './PrinterCheck.vue';
import { useOpenedPiece } from '../../session/openedPiece.ts';
import { useWorkings } from '../../session/workings.ts';
import { usePdf } from '../../session/usePdf.ts';
import { usePrinter } from '../../session/printer.ts';
import { useSettings } from '../../session/settings.ts';
import * as say from './words.ts';
import { pageOf } from '../../session/words.ts';

const opened = useOpenedPiece();

const workings = useWorkings();
const settings = useSettings();
const plan = computed(() => workings.current?.plan ?? null);
const mark = computed(() => markOf(opened.piece.mark));
const ways = computed(() => (plan.value ? rankWays(workings.piece, plan.value) : []));
const way = computed(() => ways.value.find((entry) => entry.mark.id === opened.piece.mark));
const better = computed(() => {
  const [best] = ways.value;
  return best && way.value && best.score > way.value.score ? best : null;
});
const showsAll = ref(false);
const FITNESS = { good: 'suits this piece', fair: 'possible', poor: 'not suitable' } as const;

const steps = computed(() =>
  plan.value ? stepsAfterStitching(opened.piece, behindCloth(workings.piece, plan.value).stabiliser) : [],
);
const tacks = computed(() => (mark.value.id === 'film' && plan.value ? tackingFor(plan.value) : null));
const redraws = computed(() =>
  mark.value.staysDays !== null && plan.value ? redrawPlan(workings.piece, plan.value, mark.value.staysDays) : [],
);
function namesOf(ids: readonly string[]): string {
  const names = ids.map(opened.nameOf);
  return say.partNames(names);
}

const options = reactive({
  sheet: 'a4' as Sheet['id'],
  /** null: as the way of marking needs it. */
  mirrored: null as boolean | null,
  outlines: true,
  numbers: true,
  shades: true,
  directions: true,
  ring: true,
  grain: true,
});
const sheets = [...SHEETS, filmSheet(1, 1)].map(({ id, name }) => ({
  value: id,
  label: id === 'film' ? 'Film, your own size' : name,
}));
const isMirrored = computed(() => options.mirrored ?? mark.value.mirrored);
const scale = usePrinter();
const pages = computed(() => {
  if (!plan.value) return [];
  const { widthMm, heightMm } = settings.film;
  const sheet =
    options.sheet === 'film' ? filmSheet(widthMm, heightMm) : SHEETS.find(({ id }) => id === options.sheet)!;
  return patternPages(workings.piece, plan.value, {
    ...options,
    sheet,
    mirrored: isMirrored.value,
    printer: scale.value,
  });
});
const { isSaving, problem, save } = usePdf();
</script>

<template>
  <div class="stack">
    <h2>Transfer</h2>
    <div v-if="way" class="way">
      <p>
        <strong class="serif">{{ mark.name }}</strong>
        <span class="fitness" :class="way.fitness">{{ FITNESS[way.fitness] }}</span>
      </p>
      <ul class="small">
        <li v-for="reason in way.reasons" :key="reason" class="for">{{ reason }}</li>
        <li v-for="caution in way.cautions" :key="caution" class="against">{{ caution }}</li>
      </ul>
      <p v-if="better" class="small">
        {{ say.betterMethod(better.mark.inSentence) }}
        <button type="button" class="plain link" @click="opened.edit(setMark(opened.piece, better!.mark.id))">
          Use
        </button>
      </p>
      <p class="small soft">{{ say.comesOut(mark.comesOut) }}</p>
    </div>
    <div>
      <NButton size="small" :aria-expanded="showsAll" @click="showsAll = !showsAll">
        {{ showsAll ? 'Show only the chosen method' : 'Show all transfer methods' }}
      </NButton>
    </div>
    <ul v-if="showsAll" class="all">
      <li v-for="entry in ways" :key="entry.mark.id">
        <button
          type="button"
          class="plain choice"
          :aria-pressed="entry.mark.id === opened.piece.mark"
          @click="opened.edit(setMark(opened.piece, entry.mark.id))"
        >
          <span
            >{{ entry.mark.name }}
            <span class="fitness" :class="entry.fitness">{{ FITNESS[entry.fitness] }}</span></span
          >
          <span class="small soft">{{ entry.reasons[0] ?? entry.cautions[0] }}</span>
        </button>
      </li>
    </ul>

    <template v-if="redraws.length > 0">
      <hr class="rule" />
      <h3>What to draw when</h3>
      <p class="small soft">
        {{ say.markLasts(mark.staysDays!, redraws.at(-1)!.until) }}
      </p>
      <div class="pair">
        <NumberField
          label="Length of a sitting"
          :value="opened.piece.worker.sittingMin"
          :min="10"
          :max="600"
          :step="15"
          unit="min"
          @change="(sittingMin) => opened.edit(setWorker(opened.piece, { sittingMin }))"
        />
        <NumberField
          label="Sittings in a week"
          :value="opened.piece.worker.sittingsPerWeek"
          :min="0.25"
          :max="21"
          :step="1"
          unit=""
          @change="(sittingsPerWeek) => opened.edit(setWorker(opened.piece, { sittingsPerWeek }))"
        />
      </div>
      <ol class="redraws" data-test="redraws">
        <li v-for="entry in redraws.slice(0, 12)" :key="entry.before">
          <strong>{{ say.redrawOn(Math.floor(entry.day) + 1, entry.before, entry.until) }}</strong>{{ ' ' }}
          <span class="small">{{ namesOf(entry.partIds) }}</span>
        </li>
      </ol>
      <p v-if="redraws.length > 12" class="small soft">{{ say.timesMore(redraws.length - 12) }}</p>
    </template>
    <template v-if="tacks">
      <hr class="rule" />
      <h3>Tacking the film</h3>
      <p data-test="tacks">
        {{ say.tacks(tacks.count, tacks.round.length) }}
      </p>
    </template>

    <hr class="rule" />
    <h3>When you have finished stitching</h3>
    <p class="small soft">
      This is how the mark comes out. Everything else that is left to do is under
      <RouterLink :to="{ name: 'piece', params: { id: opened.piece.id, step: 'finish' } }">Finish</RouterLink>.
    </p>
    <ol class="removal" data-test="removal">
      <li v-for="step in steps" :key="step.text">
        {{ step.text }} <span v-if="step.caution" class="small caution">{{ step.caution }}</span>
      </li>
    </ol>

    <hr class="rule" />
    <h3>Pattern at true size</h3>
    <div class="pair">
      <ChoiceField label="Paper" :value="options.sheet" :options="sheets" @change="(next) => (options.sheet = next)" />
      <div class="field">
        <span class="label">&nbsp;</span>
        <NButton
          type="primary"
          size="small"
          :loading="isSaving"
          :disabled="pages.length === 0"
          @click="save(pages, '-pattern.pdf')"
          >Save as PDF</NButton
        >
      </div>
      <template v-if="options.sheet === 'film'">
        <LengthField
          label="Film width"
          :value-mm="settings.film.widthMm"
          :min-mm="FILM_RANGE_MM.min"
          :max-mm="FILM_RANGE_MM.max"
          @change="(widthMm) => (settings.film = { ...settings.film, widthMm })"
        />
        <LengthField
          label="Film height"
          :value-mm="settings.film.heightMm"
          :min-mm="FILM_RANGE_MM.min"
          :max-mm="FILM_RANGE_MM.max"
          @change="(heightMm) => (settings.film = { ...settings.film, heightMm })"
        />
      </template>
    </div>
    <div class="checks">
      <NCheckbox v-model:checked="options.outlines">Outlines</NCheckbox>
      <NCheckbox v-model:checked="options.numbers">Part numbers</NCheckbox>
      <NCheckbox v-if="isPainted(opened.piece.drawing)" v-model:checked="options.shades"
        >Borders of shades, with their numbers and key</NCheckbox
      >
      <NCheckbox v-model:checked="options.directions">Stitch direction</NCheckbox>
      <NCheckbox v-model:checked="options.ring" :disabled="!opened.piece.hoop">Inside of the hoop</NCheckbox>
      <NCheckbox v-model:checked="options.grain">Grain of the cloth</NCheckbox>
      <NCheckbox :checked="isMirrored" @update:checked="options.mirrored = $event">{{
        mark.mirrored ? 'Mirrored, as this method needs it' : 'Mirrored, for tracing from the back'
      }}</NCheckbox>
    </div>
    <p v-if="problem" role="alert">{{ problem }}</p>
    <p v-if="pages.length === 0" class="small" role="status">
      On sheets this small there would be far too many pages: use a larger sheet, or the screen.
    </p>
    <p v-else class="soft small">
      {{ say.pagesToPrint(pages.length, mark.lineMm) }}
    </p>
    <div class="pages">
      <PagePreview v-for="(page, i) in pages.slice(0, 12)" :key="i" :page="page" :label="pageOf(i + 1, pages.length)" />
    </div>

    <hr class="rule" />
    <h3>Your printer</h3>
    <PrinterCheck :scale="scale" />

    <hr class="rule" />
    <h3>The screen as a light table</h3>
    <p class="small soft">
      Lay the cloth on the screen and trace: true size, everything else dark, locked so that a resting hand can’t move
      it.
    </p>
    <RouterLink :to="{ name: 'light-table', params: { id: opened.piece.id } }" class="go"
      >Open the light table</RouterLink
    >
  </div>
</template>

<style scoped>
.serif {
  font-family: var(--serif);
  font-size: 19px;
  font-weight: 560;
}
.way ul {
  margin: 4px 0;
  padding-left: 20px;
  display: grid;
  gap: 3px;
}
.for::marker {
  content: '+  ';
  color: var(--moss);
}
.against::marker {
  content: '–  ';
  color: var(--madder);
}
.fitness {
  font-size: 13px;
  margin-left: 6px;
  padding: 1px 8px;
  border-radius: 9px;
  border: 1px solid var(--chalk);
}
.fitness.good {
  border-color: var(--moss);
}
.fitness.poor {
  border-color: var(--madder);
}
.all {
  list-style: none;
  margin: 0 -10px;
  padding: 0;
}
.choice {
  display: grid;
  width: 100%;
  padding: 6px 10px;
  border-radius: 6px;
  text-align: left;
}
.choice:hover,
.choice[aria-pressed='true'] {
  background: var(--linen-deep);
}
.redraws,
.removal {
  margin: 0;
  padding-left: 22px;
  display: grid;
  gap: 6px;
}
.caution {
  display: block;
  border-left: 3px solid var(--weld);
  padding-left: 8px;
}
.checks {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 5px;
}
.pages {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
  gap: 12px;
}
.go {
  color: var(--madder);
  text-underline-offset: 3px;
}
</style>
