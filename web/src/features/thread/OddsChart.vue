<script setup lang="ts">
import { spreadOf } from '@junctura/core/work';
import { risingFactors, shareWithin, type ColourNeed } from '@junctura/core/thread';
import { threadKind } from '@junctura/core/materials';
import { scaleLinear } from 'd3-scale';
import { area, curveBasis } from 'd3-shape';
import { computed } from 'vue';
import { useSettings } from '../../session/settings.ts';
import { useWorkings } from '../../session/workings.ts';
import * as say from './words.ts';

/** How much thread a colour takes, as it falls out in a hundred workings, against whole skeins. */
const props = defineProps<{ need: ColourNeed }>();

const settings = useSettings();
const workings = useWorkings();
const [WIDTH, HEIGHT] = [330, 74];
const BINS = 36;
const factors = computed(() => risingFactors(props.need.loads, spreadOf(settings.factors), workings.memory));
const putUpM = computed(() => threadKind(props.need.thread).putUpM);
/** From the least to the most that is likely; a skein more than that is always shown. */
const most = computed(() => {
  const likely = factors.value.at(-1)! * props.need.wholeM;
  return Math.min(likely * 1.02, factors.value[Math.floor(factors.value.length * 0.998)]! * props.need.wholeM * 1.05);
});
const x = computed(() =>
  scaleLinear([0, Math.max(most.value, putUpM.value * Math.min(1, props.need.skeins.p95) * 1.06)], [6, WIDTH - 6]),
);
const bins = computed(() => {
  const counts = new Array<number>(BINS).fill(0);
  const step = most.value / BINS;
  for (const factor of factors.value) {
    const bin = Math.floor((factor * props.need.wholeM) / step);
    if (bin < BINS) counts[bin]!++;
  }
  return counts.map((count, i) => ({ metres: (i + 0.5) * step, count }));
});
const shape = computed(() => {
  const y = scaleLinear([0, Math.max(...bins.value.map(({ count }) => count))], [HEIGHT - 20, 10]);
  return (
    area<{ metres: number; count: number }>(
      ({ metres }) => x.value(metres),
      HEIGHT - 20,
      ({ count }) => y(count),
    ).curve(curveBasis)(bins.value) ?? ''
  );
});
/** Each number of skeins that matters, with the cases in which it does. */
const skeins = computed(() => {
  const from = Math.max(1, Math.min(props.need.skeins.p50, props.need.skeins.p90 - 1));
  const counts = Array.from({ length: Math.min(4, props.need.skeins.p95 - from + 1) }, (_, i) => from + i);
  return counts.map((count) => {
    const share = shareWithin(factors.value, (count * putUpM.value) / props.need.wholeM);
    return {
      count,
      at: x.value(count * putUpM.value),
      percent: share > 0.995 && share < 1 ? 99 : Math.round(share * 100),
    };
  });
});
const words = computed(() => skeins.value.map(({ count, percent }) => say.skeinsEnough(count, percent)).join('; '));
</script>

<template>
  <svg :viewBox="`0 0 ${WIDTH} ${HEIGHT}`" role="img" :aria-label="words">
    <path :d="shape" class="spread" />
    <path :d="`M6 ${HEIGHT - 20}H${WIDTH - 6}`" class="axis" />
    <g v-for="{ count, at, percent } in skeins" :key="count">
      <path :d="`M${at} 8V${HEIGHT - 20}`" class="skein" />
      <text :x="Math.min(WIDTH - 84, Math.max(2, at - 34))" :y="HEIGHT - 5">{{ say.countOdds(count, percent) }}</text>
    </g>
  </svg>
</template>

<style scoped>
svg {
  width: 100%;
}
.spread {
  fill: color-mix(in srgb, var(--madder) 30%, transparent);
  stroke: var(--madder);
  stroke-width: 1.2;
}
.axis {
  stroke: var(--chalk);
}
.skein {
  stroke: var(--ink);
  stroke-width: 1.4;
  stroke-dasharray: 4 3;
}
text {
  font-size: 12px;
  fill: var(--ink-soft);
}
</style>
