<script setup lang="ts">
import { formatDuration, formatMonth, localDay, WEEKDAYS } from '@junctura/core/measure';
import { timeDays, timeMonday, timeMonth, timeMonths } from 'd3-time';
import { computed } from 'vue';

/** The days at the hoop so far, as a small calendar: the fuller the tint, the longer. */
const props = defineProps<{ days: ReadonlyMap<string, number> }>();

/** The latest of them are shown. */
const MOST_MONTHS = 6;
/** What a day is tinted with in full, s. */
const FULL_S = 2 * 3600;
const WEEK = [...WEEKDAYS.slice(1), WEEKDAYS[0]!];

interface Day {
  readonly number: number;
  /** Empty: not worked. */
  readonly told: string;
  readonly share: number;
}

const months = computed(() => {
  const worked = [...props.days.keys()].sort();
  if (worked.length === 0) return [];
  const [first, last] = [worked[0]!, worked.at(-1)!].map((day) => timeMonth(new Date(`${day}T12:00`)));
  return timeMonths(first!, timeMonth.offset(last!, 1)).slice(-MOST_MONTHS).map(monthOf);
});

function monthOf(month: Date): { name: string; weeks: readonly (readonly (Day | null)[])[] } {
  const weeks: (Day | null)[][] = [];
  for (const day of timeDays(month, timeMonth.offset(month, 1))) {
    const week = timeMonday.count(month, day);
    (weeks[week] ??= Array<Day | null>(7).fill(null))[(day.getDay() + 6) % 7] = dayOf(day);
  }
  return { name: formatMonth(month), weeks };
}

function dayOf(day: Date): Day {
  const seconds = props.days.get(localDay(day));
  return {
    number: day.getDate(),
    told: seconds === undefined ? '' : formatDuration(seconds / 3600),
    share: seconds === undefined ? 0 : 0.18 + 0.82 * Math.min(1, seconds / FULL_S),
  };
}
</script>

<template>
  <section v-if="months.length > 0" aria-label="Days you stitched" class="months">
    <table v-for="month in months" :key="month.name">
      <caption>
        {{
          month.name
        }}
      </caption>
      <thead>
        <tr>
          <th v-for="name in WEEK" :key="name" scope="col" :aria-label="name">{{ name[0] }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(week, i) in month.weeks" :key="i">
          <td v-for="(day, k) in week" :key="k">
            <span
              v-if="day"
              class="day"
              :class="{ worked: day.told }"
              :style="{ '--share': `${Math.round(day.share * 100)}%` }"
              :title="day.told"
              >{{ day.number }}<span v-if="day.told" class="visually-hidden">: {{ day.told }}</span></span
            >
          </td>
        </tr>
      </tbody>
    </table>
    <p class="small soft legend">A full circle: two hours or more.</p>
  </section>
</template>

<style scoped>
.months {
  display: flex;
  flex-wrap: wrap;
  gap: 14px 22px;
}
table {
  border-spacing: 2px;
}
caption {
  text-align: left;
  font-size: 14px;
  padding-bottom: 2px;
}
th {
  font-weight: 400;
  font-size: 12px;
  color: var(--ink-soft);
}
td {
  padding: 0;
}
.day {
  display: grid;
  place-items: center;
  width: 21px;
  height: 21px;
  border-radius: 50%;
  font-size: 12px;
  font-variant-numeric: tabular-nums;
  color: var(--ink-soft);
}
.worked {
  color: var(--ink);
  box-shadow: inset 0 0 0 1.5px var(--madder);
  background: conic-gradient(color-mix(in srgb, var(--madder) 34%, transparent) var(--share), transparent 0);
}
.legend {
  flex-basis: 100%;
  margin: 0;
}
</style>
