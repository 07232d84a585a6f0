<script setup lang="ts">
import { formatMoment } from '@junctura/core/measure';
import { checkPiece } from '@junctura/core/piece';
import { NButton } from 'naive-ui';
import { onMounted, shallowRef } from 'vue';
import type { Snapshot } from '../keeping/database.ts';
import { useKeeper } from '../session/keeper.ts';
import { useOpenedPiece } from '../session/openedPiece.ts';
import TheDialog from '../ui/TheDialog.vue';
import * as say from './words.ts';

/** Earlier states of the open piece; to go back to one is an edit that can be undone. */
const emit = defineEmits<{ close: [] }>();
const opened = useOpenedPiece();
const keeper = useKeeper();
const snapshots = shallowRef<readonly Snapshot[] | null>(null);
onMounted(async () => {
  const found = await keeper.store.snapshots(opened.piece.id);
  snapshots.value = found.ok ? found.value : [];
});
function goBackTo(snapshot: Snapshot): void {
  const checked = checkPiece(snapshot.piece);
  if (checked.ok) opened.restore(checked.value, say.backTo(when(snapshot.at)));
  emit('close');
}
function when(at: number): string {
  return formatMoment(new Date(at));
}
</script>

<template>
  <TheDialog v-if="snapshots" title="Earlier versions" width="420px" @close="emit('close')">
    <p v-if="snapshots.length === 0" class="soft">
      No earlier versions yet. While you work, Junctura saves one every five minutes; use Undo for anything more recent.
    </p>
    <ul v-else>
      <li v-for="snapshot in snapshots" :key="snapshot.key">
        <span>{{ when(snapshot.at) }}</span>
        <NButton size="small" @click="goBackTo(snapshot)">Go back to it</NButton>
      </li>
    </ul>
  </TheDialog>
</template>

<style scoped>
ul {
  list-style: none;
  padding: 0;
  margin: 0;
  display: grid;
  gap: 8px;
}
li {
  display: flex;
  justify-content: space-between;
  align-items: center;
}
</style>
