<script setup lang="ts">
import TheDialog from '../ui/TheDialog.vue';
import { STEPS } from './steps.ts';

/** The keys for what is done often. */
defineProps<{ show: boolean }>();
defineEmits<{ close: [] }>();

const KEYS: readonly (readonly [keys: string, does: string])[] = [
  ['Ctrl Z', 'undo'],
  ['Ctrl Shift Z', 'do again'],
  [`Alt 1 … Alt ${STEPS.length}`, 'go to a step'],
  ['T', 'turn the hoop over'],
  ['0', 'show the whole hoop'],
  ['1', 'true size'],
  ['+  −', 'larger, smaller'],
  ['Arrows', 'move the view (with the hoop in focus)'],
  ['Shift Arrows', 'move the design by 1 mm, with Alt by 0.1 mm (in Hoop)'],
  ['Arrows', 'move the cross, with the pen out; Shift 5 mm, Alt 0.1 mm'],
  ['Space', 'set a place of the stroke; Enter ends it, Esc lets it go'],
  ['Shift and a press', 'pick several parts'],
  ['Esc', 'put the pen down; let go of what is picked'],
  ['P', 'let the piece grow, or stop it (in Order)'],
  [',  .', 'a step of the work back or on (in Order)'],
  ['Alt ↑  Alt ↓', 'a step of the order earlier or later'],
  ['F', 'show the findings'],
  ['?', 'this list'],
];
</script>

<template>
  <TheDialog :show="show" title="Keys" width="440px" @close="$emit('close')">
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
