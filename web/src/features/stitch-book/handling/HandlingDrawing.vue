<script setup lang="ts">
import type { Figure } from './figures.ts';

/** One drawing of a lesson; for the left hand it is mirrored, its words are not. */
defineProps<{ figures: readonly Figure[]; mirrored: boolean; label: string }>();
const WIDTH = 120;
const HAND = 'M0 0C4 -5 9 -8 15 -8L34 -10V12L14 10C9 10 3 6 0 2C4 3 8 4 11 2C8 2 3 2 0 0Z';
const PALM = 'M0 -7C6 -11 12 -10 16 -8L34 -10V12L14 10L2 11C-3 10 -3 6 1 6C-4 5 -4 1 0 1C-4 0 -4 -5 0 -7Z';
const turned = (x: number, y: number, deg: number): string => `translate(${x} ${y}) rotate(${deg})`;
</script>

<template>
  <svg viewBox="0 0 120 80" role="img" :aria-label="label">
    <defs>
      <marker id="handling-head" viewBox="0 0 8 8" refX="6" refY="4" markerWidth="5" markerHeight="5" orient="auto">
        <path d="M0 0L8 4L0 8Z" class="head" />
      </marker>
      <pattern id="handling-weave" width="3" height="3" patternUnits="userSpaceOnUse">
        <path d="M0 1.5H3M1.5 0V3" class="weave" />
      </pattern>
    </defs>
    <g :transform="mirrored ? `translate(${WIDTH} 0) scale(-1 1)` : undefined">
      <template v-for="(figure, i) in figures" :key="i">
        <g v-if="figure.is === 'cloth'">
          <rect :x="figure.x" :y="figure.y" :width="figure.w" :height="figure.h" class="cloth" />
          <rect :x="figure.x" :y="figure.y" :width="figure.w" :height="figure.h" fill="url(#handling-weave)" />
        </g>
        <g v-else-if="figure.is === 'ring'">
          <ellipse :cx="figure.x" :cy="figure.y" :rx="figure.rx" :ry="figure.ry" class="ring" />
          <ellipse :cx="figure.x" :cy="figure.y" :rx="figure.rx" :ry="figure.ry" class="shine" />
        </g>
        <g v-else-if="figure.is === 'thread'" :class="{ behind: figure.behind }">
          <path :d="figure.d" class="thread" :stroke-width="1.3 + 0.55 * figure.strands" />
          <path :d="figure.d" class="twist" :stroke-width="0.5 + 0.3 * figure.strands" />
        </g>
        <g v-else-if="figure.is === 'needle'" :transform="turned(figure.x, figure.y, figure.deg)">
          <path :d="`M-2 0C-2 -1.4 5 -1.5 9 -1L${figure.mm} 0L9 1C5 1.5 -2 1.4 -2 0Z`" class="needle" />
          <path d="M0 0H5" class="eye" />
        </g>
        <path
          v-else-if="figure.is === 'hand'"
          :d="figure.holds ? HAND : PALM"
          :transform="turned(figure.x, figure.y, figure.deg)"
          class="hand"
        />
        <g v-else-if="figure.is === 'scissors'" :transform="turned(figure.x, figure.y, figure.deg)">
          <path d="M0 -1L18 4L22 8M0 1L18 -4L22 -8" class="blade" />
          <circle cx="25" cy="8" r="4" class="grip" />
          <circle cx="25" cy="-8" r="4" class="grip" />
        </g>
        <path v-else-if="figure.is === 'line'" :d="figure.d" class="line" :class="{ dashed: figure.dashed }" />
        <path v-else-if="figure.is === 'arrow'" :d="figure.d" class="arrow" marker-end="url(#handling-head)" />
        <circle v-else-if="figure.is === 'knot'" :cx="figure.x" :cy="figure.y" :r="figure.r" class="knot" />
        <path v-else-if="figure.is === 'shape'" :d="figure.d" class="shape" />
      </template>
    </g>
    <template v-for="(figure, i) in figures" :key="i">
      <text v-if="figure.is === 'word'" :x="mirrored ? WIDTH - figure.x : figure.x" :y="figure.y">
        {{ figure.text }}
      </text>
    </template>
  </svg>
</template>

<style scoped>
svg {
  width: 100%;
  display: block;
  background: var(--paper);
  border-radius: 8px;
}
path,
ellipse {
  fill: none;
  stroke-linecap: round;
  stroke-linejoin: round;
}
.cloth {
  fill: #efe8d8;
  stroke: #b9ac90;
  stroke-width: 0.6;
}
.weave {
  stroke: #d9ceb6;
  stroke-width: 0.5;
}
.ring {
  stroke: #a8713d;
  stroke-width: 4.4;
}
.shine {
  stroke: #d9a368;
  stroke-width: 1.4;
}
.thread {
  stroke: #8c2f38;
}
.twist {
  stroke: #c96a70;
  stroke-dasharray: 1.3 1.3;
}
.behind .thread {
  stroke-dasharray: 2.4 2.2;
  opacity: 0.55;
}
.behind .twist {
  display: none;
}
.needle {
  fill: #b9bec8;
  stroke: #5f6675;
  stroke-width: 0.5;
}
.eye {
  stroke: #3d4452;
  stroke-width: 0.7;
}
.hand {
  fill: #e9c9a8;
  stroke: #8a6344;
  stroke-width: 0.8;
}
.blade {
  stroke: #7b8291;
  stroke-width: 1.6;
}
.grip {
  fill: none;
  stroke: #30384a;
  stroke-width: 1.8;
}
.line {
  stroke: #30384a;
  stroke-width: 0.9;
}
.dashed {
  stroke-dasharray: 2.5 2;
}
.arrow {
  stroke: #325674;
  stroke-width: 1.3;
}
.head {
  fill: #325674;
}
.knot {
  fill: #8c2f38;
  stroke: #5f1d25;
  stroke-width: 0.6;
}
.shape {
  fill: #d9e2ea;
  stroke: #53708a;
  stroke-width: 0.8;
}
text {
  font: 600 6px var(--sans, sans-serif);
  fill: #30384a;
}
</style>
