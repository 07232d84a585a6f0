<script setup lang="ts">
import { plural } from '@junctura/core/measure';
import { NButton } from 'naive-ui';

/** What can be done with the parts that are picked in a list, while more are being picked. */
defineProps<{ count: number }>();
const emit = defineEmits<{ go: []; none: [] }>();
</script>

<template>
  <div class="bar" role="status" data-test="picked-bar">
    <span>{{ plural(count, 'part') }} picked</span>
    <NButton size="small" type="primary" @click="emit('go')">Work on {{ count === 1 ? 'it' : 'them' }}</NButton>
    <NButton size="small" quaternary @click="emit('none')">Let go</NButton>
  </div>
</template>

<style scoped>
.bar {
  position: sticky;
  top: -1px;
  z-index: 1;
  display: flex;
  align-items: center;
  gap: 8px;
  padding: 8px 10px;
  margin: 0 -10px;
  background: var(--paper);
  border-bottom: 1px solid var(--chalk);
}
.bar span {
  flex: 1;
}
</style>
