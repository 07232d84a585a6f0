<script setup lang="ts">
import { markOf } from '@junctura/core/materials';
import { useEventListener, useFullscreen, useWakeLock, useWindowSize } from '@vueuse/core';
import { NButton } from 'naive-ui';
import { computed, onBeforeUnmount, ref } from 'vue';
import { RouterLink } from 'vue-router';
import NumberField from '../../ui/NumberField.vue';
import { partPath } from '../../hoop/usePartPaths.ts';
import { useTablePlace } from './useTablePlace.ts';
import { truePxPerMm } from '../../picture/view.ts';
import { useOpenedPiece } from '../../session/openedPiece.ts';
import PieceToOpen from '../../session/PieceToOpen.vue';
import { useWorkings } from '../../session/workings.ts';
import { useSettings } from '../../session/settings.ts';

/** The screen as a light table: the pattern at true size, bright under the cloth, all else dark, locked against touch. */
defineProps<{ id: string }>();
const opened = useOpenedPiece();
const workings = useWorkings();
const settings = useSettings();

const { width, height } = useWindowSize();
const { isFullscreen, toggle: toggleFullscreen, isSupported: canFill } = useFullscreen(document.documentElement);
const wake = useWakeLock();
void wake.request('screen').catch(() => undefined);
onBeforeUnmount(() => void wake.release().catch(() => undefined));

const pxPerMm = computed(() => truePxPerMm(settings.screenBarMm));
const hold = useTablePlace(pxPerMm);
const { place, nudge, turn } = hold;
const mirrored = ref(false);
const isLocked = ref(false);
const isMeasuring = ref(false);
/** How far a long press has come, 0 to 1. */
const held = ref(0);
const LONG_PRESS_MS = 1200;

const parts = computed(() => workings.current?.plan.parts ?? []);
const reachMm = computed(() => {
  const circle = workings.current?.plan.design.circle;
  return circle ? Math.hypot(circle.x, circle.y) + circle.r + 8 : 60;
});
const lineMm = computed(() => Math.min(0.5, markOf(opened.piece.mark).lineMm ?? 0.4));
const viewBox = computed(() => {
  const [w, h] = [width.value / pxPerMm.value, height.value / pxPerMm.value];
  return `${-w / 2} ${-h / 2} ${w} ${h}`;
});
const transform = computed(
  () =>
    `translate(${place.value.x} ${place.value.y}) rotate(${place.value.turnDeg}) scale(${mirrored.value ? -1 : 1} 1)`,
);

useEventListener(window, 'keydown', (event: KeyboardEvent) => {
  if (event.target instanceof HTMLInputElement || event.ctrlKey || event.metaKey) return;
  const step = event.shiftKey ? 5 : 0.5;
  const moves: Record<string, () => void> = {
    ArrowLeft: () => nudge(-step, 0),
    ArrowRight: () => nudge(step, 0),
    ArrowUp: () => nudge(0, -step),
    ArrowDown: () => nudge(0, step),
    '[': () => turn(-1),
    ']': () => turn(1),
    '0': hold.reset,
    l: lock,
    m: () => (mirrored.value = !mirrored.value),
  };
  if (event.key === 'Escape' && isLocked.value) isLocked.value = false;
  if (isLocked.value || !moves[event.key]) return;
  moves[event.key]!();
  event.preventDefault();
});

let pressTimer = 0;
/** Only a long press upon its mark unlocks, and of one finger: a hand that rests on the cloth does not. */
function pressLong(): void {
  const start = performance.now();
  const watchPress = (): void => {
    held.value = Math.min(1, (performance.now() - start) / LONG_PRESS_MS);
    if (held.value >= 1) {
      isLocked.value = false;
      letGo();
    } else pressTimer = requestAnimationFrame(watchPress);
  };
  watchPress();
}
function letGo(): void {
  cancelAnimationFrame(pressTimer);
  held.value = 0;
}
function lock(): void {
  hold.letGo();
  isLocked.value = true;
}

/** The frame has the size of a bank card, which is the same everywhere. */
const CARD_MM = { width: 85.6, height: 53.98 };
</script>

<template>
  <PieceToOpen :id="id">
    <main
      class="table"
      :class="{ locked: isLocked }"
      aria-label="Light table"
      @pointerdown="isLocked || hold.down($event)"
      @pointermove="isLocked || hold.move($event)"
      @pointerup="hold.up"
      @pointercancel="hold.up"
      @contextmenu.prevent
    >
      <svg
        :viewBox="viewBox"
        data-test="light-table"
        :data-px-per-mm="pxPerMm"
        role="img"
        aria-label="The pattern at true size"
      >
        <g v-if="!isMeasuring" :transform="transform">
          <circle :r="reachMm" class="light" />
          <path
            v-for="{ part, placed } in parts"
            :key="part.id"
            :d="partPath(placed)"
            :stroke-width="lineMm"
            :data-part="part.id"
          />
          <path
            :d="`M${-reachMm + 3} 0h4M${reachMm - 3} 0h-4M0 ${-reachMm + 3}v4M0 ${reachMm - 3}v-4`"
            stroke-width="0.2"
          />
        </g>
        <g v-else>
          <rect
            :x="-CARD_MM.width / 2"
            :y="-CARD_MM.height / 2"
            :width="CARD_MM.width"
            :height="CARD_MM.height"
            rx="3.2"
            class="card"
          />
          <path
            :d="`M-50 40H50${Array.from({ length: 11 }, (_, i) => `M${-50 + i * 10} 37V40`).join('')}`"
            class="card"
          />
        </g>
      </svg>
      <div v-if="!isLocked" class="tools" @pointerdown.stop>
        <RouterLink :to="{ name: 'piece', params: { id, step: 'transfer' } }" class="back">‹ Transfer</RouterLink>
        <template v-if="!isMeasuring">
          <NButton size="small" @click="turn(-1)">Turn left</NButton>
          <NButton size="small" @click="turn(1)">Turn right</NButton>
          <NButton size="small" :type="mirrored ? 'primary' : 'default'" @click="mirrored = !mirrored">Mirror</NButton>
          <NButton v-if="canFill" size="small" @click="toggleFullscreen">{{
            isFullscreen ? 'Leave full screen' : 'Full screen'
          }}</NButton>
          <NButton size="small" type="primary" @click="lock">Lock</NButton>
        </template>
        <NumberField
          v-else
          label="Hold a bank card or a ruler to the screen; change this until they fit"
          :value="settings.screenBarMm"
          :min="40"
          :max="250"
          :step="0.5"
          unit=""
          @change="(mm) => (settings.screenBarMm = mm)"
        />
        <NButton size="small" @click="isMeasuring = !isMeasuring">{{
          isMeasuring ? 'They match' : 'Measure the screen'
        }}</NButton>
      </div>
      <p v-if="!isLocked && !isMeasuring" class="hint">
        Move the pattern with a finger, turn it with two; or use the arrow keys (half a millimetre, with Shift five) and
        [ ]. L locks. Brighten the screen; press lightly.
      </p>
      <button
        v-if="isLocked"
        type="button"
        class="hold"
        @pointerdown="pressLong"
        @pointerup="letGo"
        @pointerleave="letGo"
        @pointercancel="letGo"
      >
        <span v-if="held > 0" :style="{ width: `${held * 100}%` }"></span>
        Press and hold here to unlock
      </button>
    </main>
  </PieceToOpen>
</template>

<style scoped>
.table {
  position: fixed;
  inset: 0;
  background: #000;
  touch-action: none;
  user-select: none;
  overflow: hidden;
  cursor: grab;
}
.locked {
  cursor: none;
}
svg {
  width: 100%;
  height: 100%;
}
.light {
  fill: #fff;
}
path {
  fill: none;
  stroke: #000;
  stroke-linecap: round;
}
.card {
  fill: none;
  stroke: #fff;
  stroke-width: 0.5;
}
.tools {
  position: absolute;
  left: 16px;
  right: 16px;
  top: 12px;
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: end;
  cursor: default;
}
.tools :deep(.n-button) {
  background: var(--paper);
}
.tools :deep(.n-button--primary-type) {
  background: var(--madder);
}
.tools :deep(label),
.back,
.hint {
  color: #cfc8b8;
}
.back {
  margin-right: auto;
  align-self: center;
}
.hint {
  position: absolute;
  bottom: 10px;
  left: 16px;
  right: 16px;
  margin: 0;
  font-size: 14px;
  text-align: center;
  pointer-events: none;
}
.hold {
  position: absolute;
  bottom: 8px;
  left: 50%;
  width: 240px;
  min-height: 44px;
  transform: translateX(-50%);
  border: 0;
  background: none;
  color: #8f897c;
  font: inherit;
  font-size: 13px;
  touch-action: none;
}
.hold span {
  position: absolute;
  left: 0;
  bottom: -4px;
  height: 3px;
  background: #cfc8b8;
}
</style>
