<script setup lang="ts">
import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import { computed } from 'vue';
import * as say from './words.ts';

/** How far a picture is from its threads with one shade, with two …: where the curve flattens, another shade shows little. */
const props = defineProps<{ errors: readonly number[]; count: number }>();
const emit = defineEmits<{ choose: [count: number] }>();

const [WIDTH, HEIGHT] = [350, 96];
const x = computed(() => scaleLinear([1, Math.max(2, props.errors.length)], [26, WIDTH - 8]));
const y = computed(() => scaleLinear([0, Math.max(1, props.errors[0] ?? 1)], [HEIGHT - 20, 8]));
const path = computed(
  () =>
    line<number>(
      (_, i) => x.value(i + 1),
      (error) => y.value(error),
    )(props.errors as number[]) ?? '',
);
const now = computed(() => props.errors[props.count - 1] ?? 0);
const words = computed(() => say.errorOfShades(props.count, now.value));
</script>

<template>
  <div>
    <svg :viewBox="`0 0 ${WIDTH} ${HEIGHT}`" role="img" :aria-label="words">
      <path :d="`M26 ${HEIGHT - 20}H${WIDTH - 4}`" class="axis" />
      <path :d="path" class="curve" />
      <g v-for="(error, i) in errors" :key="i" @click="emit('choose', i + 1)">
        <rect :x="x(i + 1) - 7" y="0" width="14" :height="HEIGHT" class="hit" />
        <circle :cx="x(i + 1)" :cy="y(error)" :r="i + 1 === count ? 5 : 2.6" :class="{ now: i + 1 === count }" />
      </g>
      <text x="26" :y="HEIGHT - 5">1</text>
      <text :x="WIDTH - 8" :y="HEIGHT - 5" text-anchor="end">{{ say.shades(errors.length) }}</text>
      <text x="2" y="14">Difference</text>
    </svg>
    <p class="small soft">{{ words }}</p>
  </div>
</template>

<style scoped>
.axis {
  stroke: var(--chalk);
}
.curve {
  fill: none;
  stroke: var(--ink-soft);
  stroke-width: 1.6;
}
circle {
  fill: var(--ink-soft);
}
circle.now {
  fill: var(--madder);
}
.hit {
  fill: transparent;
  cursor: pointer;
}
text {
  font-size: 12px;
  fill: var(--ink-soft);
}
</style>
