<script setup lang="ts">
import { NButton } from 'naive-ui';
import { useSelection } from './selection.ts';
import * as say from './words.ts';

/** What can be done with the parts that are picked in a list, while more are being picked. */
const selection = useSelection();
</script>

<template>
  <div v-if="selection.picked.length > 0" class="bar" role="status" data-test="picked-bar">
    <span>{{ say.partsPicked(selection.picked.length) }}</span>
    <NButton size="small" type="primary" @click="selection.isListing = false">{{
      say.editPicked(selection.picked.length)
    }}</NButton>
    <NButton size="small" quaternary @click="selection.pick([])">Clear selection</NButton>
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
