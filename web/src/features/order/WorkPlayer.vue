<script setup lang="ts">
import { Pause, Play, SkipBack, SkipForward } from '@lucide/vue';
import { countSteps, nameOfLine, numberedAt, numberedSteps, stitchOfStep } from '@junctura/core/order';
import { useEventListener, useRafFn } from '@vueuse/core';
import { NButton } from 'naive-ui';
import { computed, ref } from 'vue';
import ChoiceField from '../../ui/ChoiceField.vue';
import { isTyping } from '../../ui/useUndoKeys.ts';
import { useOpenedPiece } from '../../session/openedPiece.ts';
import { useSelection } from '../../session/selection.ts';
import { useWorkings } from '../../session/workings.ts';
import * as say from './words.ts';

/** Lets the piece grow from bare cloth to the end: a slider, a step to and fro, and play. */
const opened = useOpenedPiece();
const workings = useWorkings();
const selection = useSelection();

const SPEEDS = [
  { value: 8, label: '8 stitches a second' },
  { value: 40, label: '40 stitches a second' },
  { value: 200, label: '200 stitches a second' },
];
const speed = ref(40);

const order = computed(() => workings.current!.plan.order);
const count = computed(() => order.value.length);
const numbered = computed(() => numberedSteps(workings.current!.plan));
const place = computed(() => Math.min(selection.place, count.value));
const whole = computed(() => Math.floor(place.value + 1e-9));
const present = computed(() => order.value[whole.value]);
const words = computed(() => {
  const step = present.value;
  if (!step) return count.value === 0 ? 'Nothing to stitch yet' : 'All stitched';
  const name = nameOfLine([step], workings.current!.plan.parts[step.depth]?.passes ?? [], opened.nameOf);
  const { number } = numberedAt(numbered.value, whole.value);
  return say.stepOf(number, countSteps(numbered.value), name, stitchOfStep(step).inSentence);
});

let before = 0;
const { isActive, pause, resume } = useRafFn(
  ({ timestamp }) => {
    const seconds = before === 0 ? 0 : Math.min(0.25, (timestamp - before) / 1000);
    before = timestamp;
    let left = seconds * speed.value;
    let at = place.value;
    while (left > 0 && at < count.value) {
      const step = Math.floor(at + 1e-9);
      if (step >= count.value) {
        at = count.value;
        break;
      }
      const stitches = Math.max(1, order.value[step]!.stitches);
      const share = left / stitches;
      const room = step + 1 - at;
      at = share >= room ? step + 1 : at + share;
      left -= Math.min(share, room) * stitches;
    }
    selection.place = at;
    if (at >= count.value) pause();
  },
  { immediate: false },
);
function play(): void {
  if (isActive.value) return pause();
  if (place.value >= count.value) selection.place = 0;
  before = 0;
  resume();
}
function go(to: number): void {
  pause();
  selection.place = Math.max(0, Math.min(count.value, to));
}
const back = (): void => go(place.value > whole.value ? whole.value : whole.value - 1);
const on = (): void => go(whole.value + 1);

useEventListener(window, 'keydown', (event: KeyboardEvent) => {
  if (isTyping(event) || event.ctrlKey || event.metaKey || event.altKey) return;
  const does: Record<string, () => void> = { p: play, P: play, ',': back, '.': on };
  if (!does[event.key]) return;
  event.preventDefault();
  does[event.key]!();
});
</script>

<template>
  <div class="player" role="group" aria-label="The piece as it grows">
    <NButton quaternary size="small" :aria-label="isActive ? 'Stop' : 'Play'" :disabled="count === 0" @click="play"
      ><Pause v-if="isActive" :size="18" /><Play v-else :size="18"
    /></NButton>
    <NButton quaternary size="small" aria-label="Back one step" :disabled="place <= 0" @click="back"
      ><SkipBack :size="16"
    /></NButton>
    <div class="track">
      <span class="words" role="status" :title="words">{{ words }}</span>
      <input
        type="range"
        min="0"
        :max="count"
        step="any"
        :value="place"
        aria-label="How far the piece is"
        :aria-valuetext="words"
        data-test="work-slider"
        @input="go(Number(($event.target as HTMLInputElement).value))"
      />
    </div>
    <NButton quaternary size="small" aria-label="Forward one step" :disabled="place >= count" @click="on"
      ><SkipForward :size="16"
    /></NButton>
    <ChoiceField class="speed" label="Speed" :value="speed" :options="SPEEDS" @change="(next) => (speed = next)" />
  </div>
</template>

<style scoped>
.player {
  display: flex;
  align-items: center;
  gap: 4px;
  padding: 5px 12px;
  background: var(--paper);
  border-top: 1px solid var(--chalk);
}
.track {
  flex: 1;
  min-width: 0;
  display: grid;
}
.words {
  font-size: 13px;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
input {
  width: 100%;
  margin: 0;
  accent-color: var(--madder);
}
.speed {
  width: 150px;
}
.speed :deep(label) {
  position: absolute;
  width: 1px;
  height: 1px;
  overflow: hidden;
  clip-path: inset(50%);
}
</style>
