<script setup lang="ts">
import { NButton } from 'naive-ui';
import { BeginDoors } from '../features/begin/index.ts';

/** What whoever comes for the first time is shown beside the piece: the ways to begin one of her own, and three things to try. */
defineEmits<{ close: [] }>();
</script>

<template>
  <section class="first" aria-label="Begin your own piece" @pointerdown.stop @pointerup.stop @keydown.stop>
    <h2>Begin your own piece</h2>
    <BeginDoors is-small />
    <p class="try">Or look around in this one. Three things to try:</p>
    <ol>
      <li>
        Press a part in the hoop to see its stitch. Choose another stitch, and the thread and hours change with it.
      </li>
      <li>Turn the hoop over, or zoom in until you see each strand.</li>
      <li>Follow the tape above: each mark is one thing to decide, from the drawing to the finish.</li>
    </ol>
    <div class="row">
      <NButton size="small" @click="$emit('close')">I’ll look around</NButton>
    </div>
  </section>
</template>

<style scoped>
.first {
  position: absolute;
  left: 14px;
  bottom: 14px;
  width: min(330px, calc(100% - 28px));
  max-height: calc(100% - 28px);
  overflow: auto;
  padding: 14px 18px;
  background: var(--paper);
  border-radius: 6px;
  box-shadow: 0 2px 14px rgb(0 0 0 / 0.16);
  font-size: 15px;
  cursor: default;
}
h2 {
  font-size: 18px;
  margin: 0 0 10px;
}
.try {
  margin: 12px 0 0;
}
ol {
  margin: 8px 0 12px;
  padding-left: 20px;
  display: grid;
  gap: 6px;
}
/* On a phone it lies over the card, so that the hoop is seen. */
@media (max-width: 640px) {
  .first {
    position: fixed;
    z-index: 2;
    inset: auto 10px 10px;
    width: auto;
    max-height: 60vh;
  }
}
</style>
