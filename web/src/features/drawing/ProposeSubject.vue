<script setup lang="ts">
import { addParts } from '@junctura/core/drawing';
import { NButton } from 'naive-ui';
import { ref } from 'vue';
import { useOpenedPiece } from '../../session/openedPiece.ts';
import { useWorkings } from '../../session/workings.ts';

/** What stands out in the picture below becomes a part, to be taken back if it is not what was meant. */
const opened = useOpenedPiece();
const workings = useWorkings();
const isLooking = ref(false);
const problem = ref<string | null>(null);

async function propose(): Promise<void> {
  isLooking.value = true;
  problem.value = null;
  const { id } = opened.piece;
  const answer = await workings.planner.ask('subject', { piece: opened.piece }, { key: 'subject' });
  isLooking.value = false;
  if (answer === null || opened.piece.id !== id) return;
  if (!answer.ok) problem.value = answer.problem;
  else if (!answer.value) {
    problem.value = 'Nothing stands out from the edges of this picture: draw round the subject with the pen.';
  } else {
    const part = { name: 'Subject', kind: 'area', ...answer.value } as const;
    opened.edit(addParts(opened.piece, [part], [0, 0], 'Make the subject of the picture a part'));
  }
}
</script>

<template>
  <div class="row">
    <NButton size="small" :loading="isLooking" @click="propose">Find the subject of the picture</NButton>
  </div>
  <p v-if="problem" class="small problem" role="alert">{{ problem }}</p>
</template>
