<script setup lang="ts">
import { localDay } from '@junctura/core/measure';
import { renamePiece, setCalendar, setUse, setWorker, type Piece } from '@junctura/core/piece';
import { hoursUntil } from '@junctura/core/thread';
import { NButton, NInput } from 'naive-ui';
import { computed, ref } from 'vue';
import { useRouter } from 'vue-router';
import UndoButtons from '../../ui/UndoButtons.vue';
import { useUndoKeys } from '../../ui/useUndoKeys.ts';
import ChoiceChips from '../../ui/ChoiceChips.vue';
import NumberField from '../../ui/NumberField.vue';
import { TidyDrawing } from '../drawing/index.ts';
import { useOpenedPiece } from '../../session/openedPiece.ts';
import { useWorkings } from '../../session/workings.ts';
import BeginHeader from './BeginHeader.vue';
import KitCard from './KitCard.vue';
import ThreeVersions from './ThreeVersions.vue';
import YourBox from './YourBox.vue';
import * as say from './words.ts';

const opened = useOpenedPiece();
const workings = useWorkings();
const router = useRouter();
useUndoKeys(opened.undo, opened.redo);

const USES: { value: Piece['use']; label: string }[] = [
  { value: 'framed', label: 'A picture in its hoop' },
  { value: 'worn', label: 'Clothes' },
  { value: 'handled', label: 'A bag or cushion' },
  { value: 'washed', label: 'Something washed' },
  { value: 'ornament', label: 'An ornament' },
  { value: 'patch', label: 'A patch' },
];
const EXPERIENCE: { value: Piece['worker']['layers']; label: string }[] = [
  { value: 'plain', label: 'None yet' },
  { value: 'usual', label: 'A few pieces' },
  { value: 'rich', label: 'A lot' },
];
/** A first answer is an answer, too: none is given before one is pressed. */
const experience = ref<Piece['worker']['layers'] | null>(null);
function setExperience(layers: Piece['worker']['layers']): void {
  experience.value = layers;
  opened.edit(setWorker(opened.piece, { layers }));
}

const today = localDay(new Date());
const worker = computed(() => opened.piece.worker);
const day = computed(() => opened.piece.calendar.doneBy);
function setDay(text: string): void {
  const doneBy = /^\d{4}-\d{2}-\d{2}$/.test(text) ? text : null;
  opened.edit(setCalendar(opened.piece, { doneBy }));
}
/** The hours that there are by the day; null: no day is said. */
const hours = computed(() => (day.value === null ? null : hoursUntil(day.value, today, worker.value)));
const isPast = computed(() => day.value !== null && day.value < today);
const chosen = ref(false);

function toDesk(): void {
  void router.push({ name: 'piece', params: { id: opened.piece.id, step: 'drawing' } });
}
</script>

<template>
  <main class="page">
    <BeginHeader title="Four questions" about="Leave out any that you like: everything can be changed later.">
      <UndoButtons :of="opened" />
    </BeginHeader>
    <TidyDrawing />
    <section aria-labelledby="q-what">
      <h2 id="q-what">For whom, and what for?</h2>
      <label class="field">
        <span>Name of the piece</span>
        <NInput
          :value="opened.piece.name"
          maxlength="80"
          :input-props="{ 'aria-label': 'Name of the piece' }"
          @update:value="(name) => opened.edit(renamePiece(opened.piece, name))"
        />
      </label>
      <ChoiceChips
        label="What it is for"
        :options="USES"
        :is-pressed="(use) => opened.piece.use === use"
        @press="(use) => opened.edit(setUse(opened.piece, use))"
      />
    </section>
    <section aria-labelledby="q-when">
      <h2 id="q-when">By when, and how many evenings?</h2>
      <div class="when">
        <label class="field">
          <span>Ready by</span>
          <input
            type="date"
            :min="today"
            :value="day ?? ''"
            @change="(event) => setDay((event.target as HTMLInputElement).value)"
          />
        </label>
        <NumberField
          label="Evenings a week"
          :value="worker.sittingsPerWeek"
          :min="0.25"
          :max="21"
          unit=""
          @change="(sittingsPerWeek) => opened.edit(setWorker(opened.piece, { sittingsPerWeek }))"
        />
        <NumberField
          label="Time each evening"
          :value="worker.sittingMin"
          :min="10"
          :max="600"
          :step="10"
          unit="min"
          @change="(sittingMin) => opened.edit(setWorker(opened.piece, { sittingMin }))"
        />
      </div>
      <p v-if="isPast" role="alert">That day is over. Choose a later one, or leave it empty.</p>
      <p v-else-if="hours !== null" class="small soft" data-test="hours-there">{{ say.hoursThere(hours) }}</p>
    </section>
    <YourBox />
    <section aria-labelledby="q-done">
      <h2 id="q-done">How much have you stitched before?</h2>
      <ChoiceChips
        label="How much you have stitched before"
        :options="EXPERIENCE"
        :is-pressed="(layers) => experience === layers"
        @press="setExperience"
      />
    </section>
    <ThreeVersions :hours="isPast ? null : hours" @chosen="chosen = true" />
    <KitCard v-if="workings.current" :is-chosen="chosen" />
    <p class="row">
      <NButton quaternary @click="toDesk">Look at every part at the desk</NButton>
    </p>
  </main>
</template>

<style scoped>
.page {
  max-width: 1060px;
  margin: 0 auto;
  padding: 24px 34px 80px;
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 30px;
}
section {
  display: grid;
  gap: 12px;
}
h2 {
  margin: 0;
}
.field {
  display: grid;
  gap: 4px;
  max-width: 360px;
}
.when {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(170px, 220px));
  gap: 16px;
  align-items: end;
}
input[type='date'] {
  font: inherit;
  min-height: 36px;
  padding: 0 8px;
  color: var(--ink);
  background: var(--paper);
  border: 1px solid var(--chalk);
  border-radius: 5px;
}
@media (width < 600px) {
  .page {
    padding: 12px 16px 60px;
  }
}
</style>
