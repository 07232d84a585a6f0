<script setup lang="ts">
import type { PlannedPart } from '@junctura/core/work';
import { axisOf, veinLineOf } from '@junctura/core/drawing';
import { lengthsOf, mapPoints, pathData, placeOn, type Polyline } from '@junctura/core/geometry';
import { stitchKind } from '@junctura/core/stitches';
import { computed } from 'vue';

/** What lies behind the directions of the picked part: its strokes, its vein, borders and points, and the stroke being drawn. */
const props = defineProps<{ planned: PlannedPart; stroke: readonly number[]; dotMm: number }>();

const DECIMALS = 2;
const paths = (lines: readonly Polyline[]): string => lines.map((line) => pathData(line, DECIMALS)).join('');
const guides = computed(() =>
  props.planned.passes.some((pass) => pass.direction === 'guides') ? paths(props.planned.placed.guides) : '',
);
const borders = computed(() =>
  props.planned.passes.some((pass) => pass.shades.length > 1) ? paths(props.planned.placed.borders) : '',
);
/** The vein that a stitch lies by, or the middle lines of all strokes that directions run along or across. */
const vein = computed(() => {
  const { passes, placed } = props.planned;
  if (passes.some(({ stitch, role }) => stitchKind(stitch).hasVein || role === 'vein')) {
    const line = veinLineOf(placed);
    return line ? paths([line]) : '';
  }
  const turns = passes.some(({ direction }) => direction === 'along' || direction === 'across');
  return turns ? paths(axisOf(placed)) : '';
});
const points = computed(() =>
  props.planned.passes.flatMap(({ points: places }) => {
    const flat = mapPoints(props.planned.placed.toCloth, Float64Array.from(places.flat()));
    return Array.from({ length: flat.length / 2 }, (_, i) => ({ x: flat[2 * i]!, y: flat[2 * i + 1]! }));
  }),
);
/** An arrow in the middle of a line: which way it runs. */
const arrows = computed(() => {
  if (props.planned.part.kind !== 'line') return [];
  return props.planned.placed.shape.lines.flatMap(({ points, closed }) => {
    const lengths = lengthsOf(points);
    const whole = lengths.at(-1) ?? 0;
    if (closed || whole < props.dotMm) return [];
    const [[x, y], [toX, toY]] = [placeOn(points, lengths, 0.48 * whole), placeOn(points, lengths, 0.52 * whole)];
    return [{ x: (x + toX) / 2, y: (y + toY) / 2, deg: (Math.atan2(toY - y, toX - x) * 180) / Math.PI }];
  });
});
const drawn = computed(() =>
  props.stroke.length >= 4 ? pathData({ points: Float64Array.from(props.stroke), closed: false }, DECIMALS) : '',
);
</script>

<template>
  <g class="pen" data-test="pen-lines">
    <path v-if="vein" :d="vein" class="halo" />
    <path v-if="vein" :d="vein" class="vein" />
    <path v-if="guides" :d="guides" class="halo" />
    <path v-if="guides" :d="guides" class="guide" />
    <path v-if="borders" :d="borders" class="halo" />
    <path v-if="borders" :d="borders" class="border" />
    <circle v-for="({ x, y }, i) in points" :key="i" :cx="x" :cy="y" :r="dotMm" class="point" />
    <path
      v-for="({ x, y, deg }, i) in arrows"
      :key="`arrow ${i}`"
      :d="`M${-2 * dotMm} ${-1.6 * dotMm}L${1.6 * dotMm} 0L${-2 * dotMm} ${1.6 * dotMm}Z`"
      :transform="`translate(${x} ${y}) rotate(${deg})`"
      class="arrow"
      data-test="runs"
    />
    <path v-if="drawn" :d="drawn" class="drawn" />
  </g>
</template>

<style scoped>
.pen {
  pointer-events: none;
}
path {
  fill: none;
  stroke-width: 2px;
  stroke-linecap: round;
  stroke-linejoin: round;
  vector-effect: non-scaling-stroke;
}
.halo {
  stroke: #ffffff;
  stroke-width: 5px;
  opacity: 0.8;
}
.arrow {
  fill: var(--ink);
  stroke: var(--paper);
}
.vein {
  stroke: #1d58b8;
  stroke-dasharray: 7 5;
}
.guide {
  stroke: #1d58b8;
}
.border {
  stroke: #7a2f86;
  stroke-dasharray: 2 5;
}
.point {
  fill: #1d58b8;
  stroke: #ffffff;
  vector-effect: non-scaling-stroke;
}
.drawn {
  stroke: #b3262e;
  stroke-width: 3px;
}
</style>
