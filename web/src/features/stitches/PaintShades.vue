<script setup lang="ts">
import type { Shade } from '@junctura/core/materials';
import { Pin, X } from '@lucide/vue';
import * as say from './words.ts';

/** The shades of a painting, the most telling first: each can be kept whatever else is chosen, or done without. */
defineProps<{ shades: readonly Shade[]; pinned: readonly Shade[] }>();
defineEmits<{ pin: [shade: Shade]; forbid: [shade: Shade] }>();
</script>

<template>
  <ul class="shades" aria-label="Its shades">
    <li v-for="shade in shades" :key="`${shade.range} ${shade.code}`">
      <span class="chip" :style="{ background: shade.hex }" :title="`${shade.name} (${shade.code})`"></span>
      <button
        type="button"
        class="plain"
        :aria-pressed="pinned.includes(shade)"
        :aria-label="say.keepShade(shade.name)"
        @click="$emit('pin', shade)"
      >
        <Pin :size="13" />
      </button>
      <button type="button" class="plain" :aria-label="say.leaveOutShade(shade.name)" @click="$emit('forbid', shade)">
        <X :size="13" />
      </button>
    </li>
  </ul>
</template>

<style scoped>
.shades {
  list-style: none;
  margin: 0;
  padding: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
}
li {
  display: grid;
  grid-template-columns: 24px 24px;
}
.chip {
  grid-column: 1 / -1;
  height: 22px;
  border-radius: 3px;
}
button {
  display: grid;
  place-items: center;
  width: 24px;
  height: 24px;
  color: var(--ink-soft);
}
button[aria-pressed='true'] {
  color: var(--madder);
}
</style>
