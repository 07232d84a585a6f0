<script setup lang="ts">
import TheDialog from '../ui/TheDialog.vue';
import { STEPS } from './steps.ts';
import * as say from './words.ts';

/** The keys for what is done often. */
defineProps<{ show: boolean }>();
defineEmits<{ close: [] }>();

const KEYS: readonly (readonly [keys: string, does: string])[] = [
  ['Ctrl Z', 'undo'],
  ['Ctrl Shift Z', 'redo'],
  [say.altDigits(STEPS.length), 'go to a step'],
  ['T', 'turn the hoop over'],
  ['0', 'show the whole hoop'],
  ['1', 'true size'],
  ['+  −', 'zoom in, zoom out'],
  ['Arrows', 'move the view (with the hoop in focus)'],
  ['Shift Arrows', 'move the design by 1 mm, with Alt by 0.1 mm (in Hoop)'],
  ['Arrows', 'move the cross, with the pen out; Shift 5 mm, Alt 0.1 mm'],
  ['Space', 'set a point of the stroke; Enter ends it, Esc cancels it'],
  ['Shift and a press', 'select several parts'],
  ['Esc', 'put the pen away; clear the selection'],
  ['P', 'play or stop the piece growing (in Order)'],
  [',  .', 'back or forward one step of the order (in Order)'],
  ['Alt ↑  Alt ↓', 'move a step of the order earlier or later'],
  ['F', 'show things to check'],
  ['?', 'this list'],
];
</script>

<template>
  <TheDialog :show="show" title="Keyboard shortcuts" width="440px" @close="$emit('close')">
    <dl>
      <template v-for="[keys, does] in KEYS" :key="keys">
        <dt>{{ keys }}</dt>
        <dd>{{ does }}</dd>
      </template>
    </dl>
  </TheDialog>
</template>

<style scoped>
dl {
  display: grid;
  grid-template-columns: max-content 1fr;
  gap: 7px 22px;
  margin: 0;
}
dt {
  font-weight: 600;
}
dd {
  margin: 0;
}
</style>
