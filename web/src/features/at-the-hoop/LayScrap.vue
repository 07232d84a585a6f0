<script setup lang="ts">
import { nameOfLaying } from '@junctura/core/order';
import { layScrap } from '@junctura/core/transfer';
import { Undo2 } from '@lucide/vue';
import { NButton } from 'naive-ui';
import { computed } from 'vue';
import { useOpenedPiece } from '../../session/openedPiece.ts';
import { useWorkings } from '../../session/workings.ts';
import { useWorkSoFar } from '../../session/workSoFar.ts';

/** A scrap that is laid before the next stitch: how, one movement a line. */
const opened = useOpenedPiece();
const workings = useWorkings();
const work = useWorkSoFar();
const how = computed(() => (work.plan && work.laying ? layScrap(workings.piece, work.plan, work.laying.depth) : null));
</script>

<template>
  <section v-if="how && work.laying" class="step">
    <h2 data-test="present">{{ nameOfLaying(opened.nameOf(work.laying.part)) }}</h2>
    <ol>
      <li v-for="line in how.steps" :key="line">{{ line }}</li>
    </ol>
    <p v-if="how.caution" class="caution">{{ how.caution }}</p>
    <div>
      <NButton :disabled="!work.canTakeBack" data-test="back" @click="work.takeBack"><Undo2 :size="18" />Undo</NButton>
    </div>
  </section>
</template>

<style scoped>
.step {
  display: grid;
  gap: 8px;
  padding: 8px 16px;
  background: var(--paper);
  align-content: start;
  overflow-y: auto;
}
.step h2 {
  font-size: calc(28px * var(--type));
  line-height: 1.15;
  overflow-wrap: anywhere;
}
ol {
  margin: 0;
  padding-left: 1.3em;
  display: grid;
  gap: 4px;
  font-size: calc(17px * var(--type));
  line-height: 1.3;
}
.caution {
  font-size: 16px;
  border-left: 3px solid var(--weld);
  padding-left: 10px;
}
/* A phone on its side: all of it within sight. */
@media (max-height: 480px) and (orientation: landscape) {
  .step {
    gap: 4px;
    padding: 6px 16px;
  }
  .step h2 {
    font-size: calc(20px * var(--type));
  }
  ol,
  .caution {
    font-size: 14px;
    gap: 1px;
  }
}
</style>
