<script setup lang="ts">
import { NButton } from 'naive-ui';
import TheDialog from '../ui/TheDialog.vue';
import { useKeeper } from '../session/keeper.ts';
import { useOpenedPiece } from '../session/openedPiece.ts';
import { savePiece } from '../session/savePiece.ts';

/** Asked where a piece is to be left whose last changes could not be kept. */
const keeper = useKeeper();
const opened = useOpenedPiece();
</script>

<template>
  <TheDialog title="The last changes are not kept" width="460px" stays-open @close="keeper.asked?.answer(false)">
    <p>
      “{{ opened.piece.name }}” could not be kept in this browser{{
        keeper.conflict ? ', as another tab changed it' : ''
      }}. If you leave it now, what you did last is gone, unless you save it to a file first.
    </p>
    <p v-if="keeper.storageProblem" class="soft">{{ keeper.storageProblem }}</p>
    <div class="row ways">
      <NButton type="primary" @click="savePiece">Save it to a file</NButton>
      <NButton @click="keeper.asked?.answer(false)">Stay here</NButton>
      <NButton @click="keeper.asked?.answer(true)">Leave it</NButton>
    </div>
  </TheDialog>
</template>

<style scoped>
.ways {
  margin-top: 16px;
  gap: 8px;
}
</style>
