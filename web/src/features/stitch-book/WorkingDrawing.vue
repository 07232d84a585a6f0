<script setup lang="ts">
import { Move } from '@junctura/core/stitches';
import { useIntervalFn } from '@vueuse/core';
import { NButton } from 'naive-ui';
import { computed, ref, watch } from 'vue';
import ChoiceField from '../../ui/ChoiceField.vue';
import SampleCanvas from './SampleCanvas.vue';
import type { Sample } from '@junctura/core/paper';

/** How a stitch is worked, move by move, front and back in step, for either hand. */
const props = defineProps<{ sample: Sample; hex: string; width: number }>();

const SPEEDS = [
  { value: 900, label: 'slow' },
  { value: 450, label: 'steady' },
  { value: 150, label: 'quick' },
];
const HANDS: { value: 'right' | 'left'; label: string }[] = [
  { value: 'right', label: 'right hand' },
  { value: 'left', label: 'left hand' },
];
const speed = ref(450);
const hand = ref<'right' | 'left'>('right');
const total = computed(() => props.sample.pass.path.codes.length);
/** What is seen first is the stitch as it looks when it is worked. */
const moves = ref(total.value);
/** A step on, or back; on from the end it begins anew. */
const step = (by: number): void => {
  const from = by > 0 && moves.value >= total.value ? 0 : moves.value;
  moves.value = Math.min(total.value, Math.max(0, from + by));
};
const { isActive, pause, resume } = useIntervalFn(
  () => {
    step(1);
    if (moves.value >= total.value) pause();
  },
  speed,
  { immediate: false },
);
watch(
  () => props.sample,
  () => {
    pause();
    moves.value = total.value;
  },
);
function play(): void {
  if (moves.value >= total.value) moves.value = 0;
  resume();
}

/** Where the needle is, as shares of the picture, and what it does there. */
const needle = computed(() => {
  if (moves.value >= total.value) return null;
  const { box, pass } = props.sample;
  const { codes, xy } = pass.path;
  let at = moves.value - 1;
  while (at >= 0 && (codes[at] === Move.wrap || codes[at] === Move.travel || codes[at] === Move.lift)) at--;
  if (at < 0) return null;
  const x = (xy[2 * at]! - box.minX) / (box.maxX - box.minX);
  const y = (xy[2 * at + 1]! - box.minY) / (box.maxY - box.minY);
  const seen = hand.value === 'left' ? 1 - x : x;
  return { left: `${seen * 100}%`, top: `${y * 100}%`, isDown: codes[at] === Move.down };
});
const WORDS: Readonly<Record<number, string>> = {
  [Move.up]: 'The needle comes up.',
  [Move.down]: 'The needle goes down.',
  [Move.via]: 'The thread is held in a loop.',
  [Move.wrap]: 'The thread is wound round the needle.',
  [Move.travel]: 'On the back, across to the next place.',
  [Move.under]: 'The needle slides under a stitch, not through the cloth.',
  [Move.lift]: 'The next stitches sit higher, over padding.',
};
const word = computed(() =>
  moves.value === 0 || moves.value >= total.value
    ? 'Press Play, or use the arrow keys.'
    : WORDS[props.sample.pass.path.codes[moves.value - 1]!],
);

function key(event: KeyboardEvent): void {
  const by = { ArrowRight: 1, ArrowLeft: -1 }[event.key];
  if (by !== undefined) {
    pause();
    step(by);
  } else if (event.key === ' ') {
    if (isActive.value) pause();
    else play();
  } else return;
  event.preventDefault();
}
</script>

<template>
  <section class="drawing" tabindex="0" aria-label="Stitch drawing: arrow keys step, space plays" @keydown="key">
    <div class="sides">
      <figure>
        <div class="front">
          <SampleCanvas :sample="sample" :moves="moves" :width="width" :hex="hex" :mirrored="hand === 'left'" />
          <span
            v-if="needle"
            class="needle"
            :class="{ down: needle.isDown }"
            :style="{ left: needle.left, top: needle.top }"
          ></span>
        </div>
        <figcaption class="small soft">Front</figcaption>
      </figure>
      <figure>
        <SampleCanvas
          :sample="sample"
          :moves="moves"
          side="back"
          :width="width"
          :hex="hex"
          :mirrored="hand === 'left'"
        />
        <figcaption class="small soft">Back, with the hoop turned over</figcaption>
      </figure>
    </div>
    <p class="word" aria-live="polite">{{ word }}</p>
    <input
      v-model.number="moves"
      class="reel"
      type="range"
      min="0"
      :max="total"
      aria-label="How far the stitch is"
      @input="pause"
    />
    <div class="row">
      <NButton size="small" type="primary" @click="isActive ? pause() : play()">{{
        isActive ? 'Pause' : 'Play'
      }}</NButton>
      <NButton size="small" :disabled="moves === 0" @click="step(-1)">Back one step</NButton>
      <NButton size="small" @click="step(1)">Forward one step</NButton>
      <NButton size="small" @click="moves = total">Show all</NButton>
      <ChoiceField label="Speed" :value="speed" :options="SPEEDS" @change="(next) => (speed = next)" />
      <ChoiceField label="For the" :value="hand" :options="HANDS" @change="(next) => (hand = next)" />
    </div>
  </section>
</template>

<style scoped>
.drawing {
  display: grid;
  gap: 10px;
}
.sides {
  display: flex;
  flex-wrap: wrap;
  gap: 14px 20px;
}
figure {
  margin: 0;
  display: grid;
  gap: 4px;
}
.front {
  position: relative;
}
.needle {
  position: absolute;
  width: 16px;
  height: 16px;
  margin: -8px 0 0 -8px;
  border-radius: 50%;
  border: 2.5px solid #1d3f9a;
  background: rgb(255 255 255 / 70%);
}
.needle.down {
  background: #1d3f9a;
}
.word {
  font-family: var(--serif);
  font-size: 17px;
}
.reel {
  width: 100%;
  accent-color: var(--madder);
}
.row {
  align-items: end;
}
</style>
