<script setup lang="ts">
import { formatDuration } from '@junctura/core/measure';
import { nameOfLaying, type NumberedLaying } from '@junctura/core/order';
import { layScrap } from '@junctura/core/transfer';
import { computed } from 'vue';
import { useOpenedPiece } from '../../session/openedPiece.ts';
import { useWorkings } from '../../session/workings.ts';

/** A scrap that is laid between two steps: it moves with what is stitched on it. */
const props = defineProps<{ laying: NumberedLaying }>();
const opened = useOpenedPiece();
const workings = useWorkings();
const how = computed(() => layScrap(workings.piece, workings.current!.plan, props.laying.depth));
const hex = computed(() => opened.piece.drawing.parts.find(({ id }) => id === props.laying.part)?.scrap?.hex);
</script>

<template>
  <details class="laying">
    <summary>
      <span class="figure small soft">{{ laying.number }}</span>
      <i class="cloth" :style="{ background: hex }"></i>
      <span class="title">{{ nameOfLaying(opened.nameOf(laying.part)) }}</span>
      <span class="figure small">{{ formatDuration(how.seconds / 3600) }}</span>
    </summary>
    <ol class="small">
      <li v-for="line in how.steps" :key="line">{{ line }}</li>
    </ol>
    <p v-if="how.caution" class="small soft">{{ how.caution }}</p>
  </details>
</template>

<style scoped>
summary {
  display: grid;
  grid-template-columns: 1.4em 16px 1fr auto;
  gap: 6px;
  align-items: center;
  padding: 6px 8px 6px 14px;
  cursor: pointer;
}
.cloth {
  width: 16px;
  height: 12px;
  border: 1px solid rgb(0 0 0 / 25%);
}
ol {
  margin: 0;
  padding: 0 0 6px 5.4em;
}
</style>
