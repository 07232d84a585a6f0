<script setup lang="ts">
import { formatDuration, formatWeekday, localDay, noonOf, WEEKDAYS } from '@junctura/core/measure';
import { moveSitting, setCalendar, setWorker } from '@junctura/core/piece';
import { doneBy, sittingDays, sittingsOf } from '@junctura/core/thread';
import { NButton } from 'naive-ui';
import { computed, ref, useId } from 'vue';
import NumberField from '../../ui/NumberField.vue';
import { fileName, saveFile } from '../../keeping/files.ts';
import { useOpenedPiece } from '../../session/openedPiece.ts';
import { useWorkings } from '../../session/workings.ts';
import * as say from './words.ts';

/** The evenings in her calendar: days of the week, what each sitting does, and whether all is done by a day. */
const opened = useOpenedPiece();
const workings = useWorkings();
const beginId = useId();
const timeId = useId();
const byId = useId();

/** Monday comes first. */
const WEEK = [1, 2, 3, 4, 5, 6, 0];
const today = localDay(new Date());

const calendar = computed(() => opened.piece.calendar);
const worker = computed(() => opened.piece.worker);
const plan = computed(() => workings.current!.plan);
const sittings = computed(() => sittingsOf(workings.piece, plan.value));
const days = computed(() => sittingDays(calendar.value, worker.value.sittingsPerWeek, sittings.value.length, today));
const moved = computed(() => new Set(calendar.value.moved.map(({ sitting }) => sitting)));
const wanted = computed(() =>
  calendar.value.doneBy
    ? doneBy(calendar.value.doneBy, calendar.value.begin ?? today, plan.value.totals.hours.p50, worker.value)
    : null,
);
function setDay(day: number): void {
  const { days: old } = calendar.value;
  const next = old.includes(day) ? old.filter((own) => own !== day) : [...old, day].sort((a, b) => a - b);
  opened.edit(setCalendar(opened.piece, { days: next }));
}
const chosen = (event: Event): string | null => (event.target as HTMLInputElement).value || null;
function setTime(event: Event): void {
  const at = chosen(event);
  if (at) opened.edit(setCalendar(opened.piece, { at: at.slice(0, 5) }));
}
const dayText = (day: string): string => formatWeekday(noonOf(day));

const problem = ref<string | null>(null);
async function save(): Promise<void> {
  problem.value = null;
  const { calendarFile } = await import('../../keeping/calendarFile.ts');
  const file = calendarFile(workings.piece, plan.value, days.value);
  if (file.ok) saveFile(fileName(opened.piece.name, '.ics'), file.value, 'text/calendar');
  else problem.value = file.problem;
}
</script>

<template>
  <div class="stack">
    <div class="pair">
      <NumberField
        label="Length of a sitting"
        :value="worker.sittingMin"
        :min="10"
        :max="600"
        :step="15"
        unit="min"
        @change="(sittingMin) => opened.edit(setWorker(opened.piece, { sittingMin }))"
      />
      <NumberField
        label="Sittings in a week"
        :value="worker.sittingsPerWeek"
        :min="0.25"
        :max="21"
        :step="1"
        unit=""
        @change="(sittingsPerWeek) => opened.edit(setWorker(opened.piece, { sittingsPerWeek }))"
      />
    </div>
    <fieldset>
      <legend class="small soft">Days of the week</legend>
      <div class="week">
        <button
          v-for="day in WEEK"
          :key="day"
          type="button"
          class="plain day"
          :aria-pressed="calendar.days.includes(day)"
          @click="setDay(day)"
        >
          {{ WEEKDAYS[day] }}
        </button>
      </div>
      <p v-if="calendar.days.length === 0" class="small soft">
        No day is chosen: sittings are spread evenly over the weeks.
      </p>
    </fieldset>
    <div class="pair">
      <div class="field">
        <label :for="beginId">First sitting from</label>
        <input
          :id="beginId"
          type="date"
          :value="calendar.begin ?? today"
          @change="opened.edit(setCalendar(opened.piece, { begin: chosen($event) }))"
        />
      </div>
      <div class="field">
        <label :for="timeId">At</label>
        <input :id="timeId" type="time" :value="calendar.at" @change="setTime" />
      </div>
      <div class="field">
        <label :for="byId">Finished by (optional)</label>
        <input
          :id="byId"
          type="date"
          :value="calendar.doneBy ?? ''"
          @change="opened.edit(setCalendar(opened.piece, { doneBy: chosen($event) }))"
        />
      </div>
    </div>
    <p v-if="wanted?.type === 'past'" class="note" role="status">
      That day is before the first sitting. Choose a later day, or start sooner.
    </p>
    <p v-else-if="wanted?.type === 'ahead'" class="note" role="status" data-test="done-by">
      {{ say.doneBy(wanted.odds, wanted.perWeekP50, wanted.perWeekP90) }}
    </p>

    <ol class="sittings" data-test="days">
      <li v-for="(sitting, i) in sittings" :key="sitting.number">
        <span class="number figure">{{ sitting.number }}</span>
        <span>{{ dayText(days[i]!) }}</span>
        <span class="figure small soft">{{ formatDuration(sitting.seconds / 3600) }}</span>
        <input
          type="date"
          :value="days[i]"
          :aria-label="say.dayOfSitting(sitting.number)"
          @change="opened.edit(moveSitting(opened.piece, sitting.number, chosen($event)))"
        />
        <button
          v-if="moved.has(sitting.number)"
          type="button"
          class="plain link small"
          @click="opened.edit(moveSitting(opened.piece, sitting.number, null))"
        >
          reset
        </button>
      </li>
    </ol>
    <p v-if="problem" role="alert">{{ problem }}</p>
    <div class="row">
      <NButton type="primary" size="small" :disabled="sittings.length === 0" @click="save"
        >Save as a calendar file</NButton
      >
      <span class="small soft">{{ say.calendarEvents(sittings.length) }}</span>
    </div>
  </div>
</template>

<style scoped>
fieldset {
  border: 0;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 5px;
}
.week {
  display: flex;
  gap: 4px;
}
.day {
  flex: 1;
  text-align: center;
  padding: 5px 0;
  border: 1px solid var(--chalk);
  border-radius: 5px;
  font-size: 13px;
}
.day[aria-pressed='true'] {
  background: var(--madder);
  border-color: var(--madder);
  color: var(--on-madder);
}
.field input,
.sittings input {
  font: inherit;
  font-size: 14px;
  color: var(--ink);
  background: var(--paper);
  border: 1px solid var(--chalk);
  border-radius: 5px;
  height: 30px;
  padding: 0 6px;
  min-width: 0;
}
.note {
  padding: 6px 10px;
  border-left: 3px solid var(--weld);
}
.sittings {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 4px;
}
.sittings li {
  display: grid;
  grid-template-columns: 22px 1fr auto 132px auto;
  align-items: center;
  gap: 8px;
}
.number {
  text-align: right;
  color: var(--ink-soft);
}
</style>
