<script setup lang="ts">
import { hoopAt, positionsOf, roomHalvesMm } from '@junctura/core/drawing';
import { innerHalvesMm } from '@junctura/core/materials';
import { computed } from 'vue';
import { useOpenedPiece } from '../session/openedPiece.ts';
import { useWorkings } from '../session/workings.ts';

/** How the design lies in its ring: its circle, what is left inside the air, and each position with the number that it is dragged by. */
defineProps<{ hairline: number; stripe: number }>();
const opened = useOpenedPiece();
const workings = useWorkings();

const circle = computed(() => workings.current?.plan.design.circle ?? null);
const hasPositions = computed(() => opened.piece.positions.length > 1);
/** What is left of the ring inside its air, about each position. */
const rings = computed(() => {
  const { hoop } = opened.piece;
  if (!hoop) return [];
  return positionsOf(opened.piece).map((place, i) => {
    const own = hoopAt(hoop, place);
    const [[a, b], [airA, airB]] = [innerHalvesMm(own), roomHalvesMm(own)];
    return { x: place[0], y: place[1], a, b, airA, airB, number: i + 1 };
  });
});
</script>

<template>
  <g>
    <g v-if="circle" fill="none" pointer-events="none" :stroke-width="hairline">
      <circle :cx="circle.x" :cy="circle.y" :r="circle.r" class="fit-circle" />
      <g v-for="ring in rings" :key="ring.number">
        <ellipse
          v-if="hasPositions"
          :cx="ring.x"
          :cy="ring.y"
          :rx="ring.a"
          :ry="ring.b"
          class="position"
          :stroke-width="hairline * 2"
        />
        <ellipse
          :cx="ring.x"
          :cy="ring.y"
          :rx="ring.airA"
          :ry="ring.airB"
          class="air-circle"
          :stroke-dasharray="`${stripe} ${stripe / 2}`"
        />
      </g>
      <path :d="`M0 ${-stripe}V${stripe}M${-stripe} 0H${stripe}`" class="air-circle" />
    </g>
    <g
      v-for="ring in hasPositions ? rings : []"
      :key="ring.number"
      class="grip"
      :data-position="ring.number - 1"
      :transform="`translate(${ring.x} ${ring.y})`"
    >
      <circle :r="stripe * 1.5" />
      <text text-anchor="middle" dominant-baseline="central" :font-size="stripe * 1.7">{{ ring.number }}</text>
    </g>
  </g>
</template>

<style scoped>
.fit-circle {
  stroke: #1d58b8;
}
.air-circle {
  stroke: #5a4a2c;
}
.position {
  stroke: var(--madder);
}
.grip {
  cursor: move;
}
.grip circle {
  fill: var(--paper);
  stroke: var(--madder);
  stroke-width: 2px;
  vector-effect: non-scaling-stroke;
}
.grip text {
  font-family: var(--serif);
  fill: var(--ink);
  pointer-events: none;
}
</style>
