<script setup lang="ts">
import type { HoopTrial } from '@junctura/core/advice';
import { scaleLinear } from 'd3-scale';
import { area, line } from 'd3-shape';
import { computed } from 'vue';

/** Hours (as a range) and thread over the size of the hoop. */
const props = defineProps<{ trials: readonly HoopTrial[]; chosenMm: number | null }>();

const WIDTH = 520;
const HEIGHT = 200;
const EDGE = { left: 44, right: 48, top: 24, bottom: 30 };
const x = computed(() => {
  const sizes = props.trials.map(({ hoop }) => hoop.nominalMm);
  return scaleLinear([Math.min(...sizes), Math.max(...sizes)], [EDGE.left, WIDTH - EDGE.right]);
});
const hours = computed(() =>
  scaleLinear([0, Math.max(...props.trials.map((trial) => trial.hours.p90))], [HEIGHT - EDGE.bottom, EDGE.top]).nice(4),
);
const metres = computed(() =>
  scaleLinear([0, Math.max(...props.trials.map((trial) => trial.threadM))], [HEIGHT - EDGE.bottom, EDGE.top]).nice(4),
);
const band = computed(
  () =>
    area<HoopTrial>(
      ({ hoop }) => x.value(hoop.nominalMm),
      ({ hours: range }) => hours.value(range.p10),
      ({ hours: range }) => hours.value(range.p90),
    )([...props.trials]) ?? '',
);
const middle = computed(
  () =>
    line<HoopTrial>(
      ({ hoop }) => x.value(hoop.nominalMm),
      (trial) => hours.value(trial.hours.p50),
    )([...props.trials]) ?? '',
);
const thread = computed(
  () =>
    line<HoopTrial>(
      ({ hoop }) => x.value(hoop.nominalMm),
      (trial) => metres.value(trial.threadM),
    )([...props.trials]) ?? '',
);
</script>

<template>
  <div>
    <svg :viewBox="`0 0 ${WIDTH} ${HEIGHT}`" role="img" aria-label="Hours and metres of thread by hoop size">
      <g v-for="tick in hours.ticks(4)" :key="`h${tick}`">
        <path :d="`M${EDGE.left} ${hours(tick)}H${WIDTH - EDGE.right}`" class="rule" />
        <text :x="EDGE.left - 8" :y="hours(tick) + 4" text-anchor="end">{{ tick }}</text>
      </g>
      <text
        v-for="tick in metres.ticks(4)"
        :key="`m${tick}`"
        :x="WIDTH - EDGE.right + 8"
        :y="metres(tick) + 4"
        class="metres"
      >
        {{ tick }}
      </text>
      <text :x="EDGE.left - 8" :y="EDGE.top - 12" text-anchor="end">h</text>
      <text :x="WIDTH - EDGE.right + 8" :y="EDGE.top - 12" class="metres">m</text>
      <path :d="band" class="band" />
      <path :d="middle" class="hours" />
      <path :d="thread" class="thread" />
      <g v-for="trial in trials" :key="trial.hoop.nominalMm">
        <path
          v-if="trial.hoop.nominalMm === chosenMm"
          :d="`M${x(trial.hoop.nominalMm)} ${EDGE.top}V${HEIGHT - EDGE.bottom}`"
          class="chosen"
        />
        <circle :cx="x(trial.hoop.nominalMm)" :cy="hours(trial.hours.p50)" r="3.4" class="dot" />
        <text :x="x(trial.hoop.nominalMm)" :y="HEIGHT - 10" text-anchor="middle">{{ trial.hoop.nominalMm / 10 }}</text>
      </g>
      <text :x="WIDTH - EDGE.right + 20" :y="HEIGHT - 10">cm</text>
    </svg>
    <p class="small soft legend">
      <span class="key hours-key"></span> hours, from quick to slow <span class="key thread-key"></span> metres of
      thread
    </p>
  </div>
</template>

<style scoped>
text {
  font-size: 12px;
  fill: var(--ink-soft);
  font-variant-numeric: tabular-nums;
}
.rule {
  stroke: var(--chalk);
  stroke-width: 0.6;
}
.band {
  fill: color-mix(in srgb, var(--madder) 18%, transparent);
}
.hours,
.thread,
.chosen {
  fill: none;
  stroke: var(--madder);
  stroke-width: 2;
}
.dot {
  fill: var(--madder);
}
.thread {
  stroke: var(--ink);
  stroke-dasharray: 5 4;
}
.chosen {
  stroke: var(--ink);
  stroke-width: 1;
}
.legend {
  display: flex;
  gap: 8px;
  align-items: center;
}
.key {
  width: 22px;
  border-top: 3px solid var(--madder);
}
.thread-key {
  border-top: 2px dashed var(--ink);
  margin-left: 14px;
}
</style>
