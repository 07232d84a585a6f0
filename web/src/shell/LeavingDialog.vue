<script setup lang="ts">
import { NButton } from 'naive-ui';
import TheDialog from '../ui/TheDialog.vue';
import { useKeeper } from '../session/keeper.ts';
import { useOpenedPiece } from '../session/openedPiece.ts';
import { savePiece } from '../session/savePiece.ts';
import * as say from './words.ts';

/** Asked where a piece is to be left whose last changes could not be kept. */
const keeper = useKeeper();
const opened = useOpenedPiece();
</script>

<template>
  <TheDialog title="Your last changes are not saved" width="460px" stays-open @close="keeper.asked?.answer(false)">
    <p>
      {{ say.notSaved(opened.piece.name, keeper.conflict !== null) }}
    </p>
    <p v-if="keeper.storageProblem" class="soft">{{ keeper.storageProblem }}</p>
    <div class="row ways">
      <NButton type="primary" @click="savePiece">Save to a file</NButton>
      <NButton @click="keeper.asked?.answer(false)">Stay here</NButton>
      <NButton @click="keeper.asked?.answer(true)">Leave without saving</NButton>
    </div>
  </TheDialog>
</template>

<style scoped>
.ways {
  margin-top: 16px;
  gap: 8px;
}
</style>
