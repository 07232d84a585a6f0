<script setup lang="ts">
import type { Corner, Corners } from '@junctura/core/drawing';
import { ref } from 'vue';
import * as say from './words.ts';

/** A picture with handles on it: four corners of a page, or the two ends of a length that is known. */
const props = defineProps<{ src: string; corners: Corners; ends: readonly [Corner, Corner] | null }>();
const emit = defineEmits<{ corners: [corners: Corners]; ends: [ends: readonly [Corner, Corner]] }>();

const frame = ref<HTMLElement | null>(null);
const NAMES = ['Top left corner', 'Top right corner', 'Bottom right corner', 'Bottom left corner'];
/** How far an arrow key moves a handle, as a share of the picture; with Shift ten times as far. */
const STEP = 0.005;

function set(index: number, isEnd: boolean, x: number, y: number): void {
  const place: Corner = [Math.min(1, Math.max(0, x)), Math.min(1, Math.max(0, y))];
  if (isEnd) emit('ends', props.ends!.map((end, i) => (i === index ? place : end)) as unknown as [Corner, Corner]);
  else emit('corners', props.corners.map((corner, i) => (i === index ? place : corner)) as unknown as Corners);
}
function drag(event: PointerEvent, index: number, isEnd: boolean): void {
  if (event.buttons === 0) return;
  const box = frame.value!.getBoundingClientRect();
  set(index, isEnd, (event.clientX - box.left) / box.width, (event.clientY - box.top) / box.height);
}
function grab(event: PointerEvent): void {
  (event.target as HTMLElement).setPointerCapture(event.pointerId);
}
function nudge(event: KeyboardEvent, index: number, isEnd: boolean): void {
  const steps: Record<string, Corner> = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] };
  const step = steps[event.key];
  if (!step) return;
  event.preventDefault();
  const share = event.shiftKey ? 10 * STEP : STEP;
  const [x, y] = isEnd ? props.ends![index]! : props.corners[index]!;
  set(index, isEnd, x + step[0] * share, y + step[1] * share);
}
const percent = (value: number): string => `${value * 100}%`;
</script>

<template>
  <div ref="frame" class="frame">
    <img :src="src" alt="The picture before straightening" draggable="false" />
    <svg viewBox="0 0 1 1" preserveAspectRatio="none" aria-hidden="true">
      <polygon :points="corners.map(([x, y]) => `${x},${y}`).join(' ')" />
      <line v-if="ends" :x1="ends[0][0]" :y1="ends[0][1]" :x2="ends[1][0]" :y2="ends[1][1]" />
    </svg>
    <button
      v-for="([x, y], i) in corners"
      :key="i"
      type="button"
      class="handle"
      :style="{ left: percent(x), top: percent(y) }"
      :aria-label="say.cornerHandle(NAMES[i]!)"
      @pointerdown="grab"
      @pointermove="drag($event, i, false)"
      @keydown="nudge($event, i, false)"
    ></button>
    <template v-if="ends">
      <button
        v-for="([x, y], i) in ends"
        :key="`end-${i}`"
        type="button"
        class="handle end"
        :style="{ left: percent(x), top: percent(y) }"
        :aria-label="say.endHandle(i + 1)"
        @pointerdown="grab"
        @pointermove="drag($event, i, true)"
        @keydown="nudge($event, i, true)"
      ></button>
    </template>
  </div>
</template>

<style scoped>
.frame {
  position: relative;
  touch-action: none;
  line-height: 0;
}
img {
  width: 100%;
  max-height: 400px;
  object-fit: fill;
  user-select: none;
}
svg {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
  pointer-events: none;
}
polygon,
line {
  fill: none;
  stroke: #1d58b8;
  stroke-width: 2px;
  vector-effect: non-scaling-stroke;
}
line {
  stroke: var(--madder);
}
.handle {
  position: absolute;
  width: 26px;
  height: 26px;
  margin: -13px;
  border-radius: 50%;
  border: 3px solid #1d58b8;
  background: rgb(255 255 255 / 55%);
  cursor: move;
  padding: 0;
}
.handle.end {
  border-color: var(--madder);
}
</style>
