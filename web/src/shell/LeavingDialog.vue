<script setup lang="ts">
import { NButton } from 'naive-ui';
import TheDialog from '../ui/TheDialog.vue';
import { useKeeper } from '../session/keeper.ts';
import { useOpenedPiece } from '../session/openedPiece.ts';
import { useRecord } from '../session/record.ts';
import { savePiece } from '../session/savePiece.ts';
import { notedUnkept } from '../session/words.ts';
import * as say from './words.ts';

/** Asked where a piece is to be left whose last changes could not be kept. */
const keeper = useKeeper();
const opened = useOpenedPiece();
const record = useRecord();
</script>

<template>
  <TheDialog title="Your last changes are not saved" width="460px" stays-open @close="keeper.asked?.answer(false)">
    <p v-if="keeper.saveState !== 'saved'">
      {{ say.notSaved(opened.piece.name, keeper.conflict !== null) }}
    </p>
    <p v-if="record.unkept > 0">{{ notedUnkept(record.unkept) }}</p>
    <p v-if="keeper.storageProblem ?? record.problem" class="soft">{{ keeper.storageProblem ?? record.problem }}</p>
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
