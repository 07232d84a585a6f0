<script setup lang="ts">
import type { Forecast, WorkSoFar } from '@junctura/core/log';
import { stepSeconds } from '@junctura/core/thread';
import { scaleLinear } from 'd3-scale';
import { area, line } from 'd3-shape';
import { computed } from 'vue';

/** Done against planned, and what is forecast: hours at the hoop across, the share of the piece up. */
const props = defineProps<{ soFar: WorkSoFar; left: Forecast }>();

const [WIDTH, HEIGHT, PAD] = [330, 120, 22];
const usual = ({ work }: WorkSoFar['done'][number]): number => stepSeconds(work);

const chart = computed(() => {
  const { done } = props.soFar;
  const doneUsual = done.reduce((sum, own) => sum + usual(own), 0);
  const all = doneUsual + props.left.seconds.p50;
  const most = Math.max(1, props.soFar.seconds + props.left.seconds.p90, all);
  const x = scaleLinear([0, most / 3600], [PAD, WIDTH - 4]);
  const y = scaleLinear([0, 1], [HEIGHT - PAD, 6]);
  let [seconds, planned] = [0, 0];
  const truly: [number, number][] = [[0, 0]];
  for (const own of done) {
    planned += usual(own);
    seconds += own.seconds ?? usual(own);
    truly.push([seconds / 3600, all > 0 ? planned / all : 0]);
  }
  const [atHours, atShare] = truly.at(-1)!;
  const ends = (key: 'p10' | 'p50' | 'p90'): [number, number] => [atHours + props.left.seconds[key] / 3600, 1];
  const drawn = line<[number, number]>(
    (point) => x(point[0]),
    (point) => y(point[1]),
  );
  return {
    plan: drawn([
      [0, 0],
      [all / 3600, 1],
    ])!,
    done: drawn(truly)!,
    forecast: drawn([[atHours, atShare], ends('p50')])!,
    range: area<{ share: number; low: number; high: number }>()
      .y((at) => y(at.share))
      .x0((at) => x(at.low))
      .x1((at) => x(at.high))([
      { share: atShare, low: atHours, high: atHours },
      { share: 1, low: ends('p10')[0], high: ends('p90')[0] },
    ])!,
    ticks: x.ticks(5).map((hours) => ({ hours, x: x(hours) })),
    foot: y(0),
  };
});
</script>

<template>
  <figure v-if="soFar.done.length > 1">
    <svg
      :viewBox="`0 0 ${WIDTH} ${HEIGHT}`"
      role="img"
      aria-label="Hours of stitching: planned, done, and a forecast as a range"
    >
      <path :d="chart.range" class="range" />
      <path :d="chart.plan" class="plan" />
      <path :d="chart.forecast" class="forecast" />
      <path :d="chart.done" class="done" />
      <g v-for="tick in chart.ticks" :key="tick.hours">
        <text :x="tick.x" :y="HEIGHT - 5" text-anchor="middle">{{ tick.hours }} h</text>
      </g>
      <path :d="`M${PAD} ${chart.foot}H${WIDTH}`" class="axis" />
    </svg>
    <figcaption class="small soft">
      <b class="d">done</b> · <b class="f">forecast</b> · <b class="p">as planned</b>
    </figcaption>
  </figure>
</template>

<style scoped>
figure {
  margin: 0;
}
path {
  fill: none;
}
.range {
  fill: var(--moss);
  opacity: 0.18;
}
.done {
  stroke: var(--moss);
  stroke-width: 3;
}
.forecast {
  stroke: var(--moss);
  stroke-width: 1.5;
  stroke-dasharray: 5 4;
}
.plan {
  stroke: var(--ink-faint);
  stroke-width: 1.2;
  stroke-dasharray: 1 4;
}
.axis {
  stroke: var(--chalk);
}
text {
  font-size: 11px;
  fill: var(--ink-soft);
}
.d,
.f {
  color: var(--moss);
}
</style>
