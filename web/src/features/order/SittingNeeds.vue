<script setup lang="ts">
import { formatThread } from '@junctura/core/measure';
import type { Sitting } from '@junctura/core/thread';
import { computed } from 'vue';
import { useOpenedPiece } from '../../session/openedPiece.ts';
import { useSettings } from '../../session/settings.ts';
import { useWorkings } from '../../session/workings.ts';
import { NO_NEW_THREAD, layOut } from '@junctura/core/transfer';
import * as say from './words.ts';
import { redrawFirst, lengthsToLayOut } from '../../session/words.ts';

/** What to lay out for a sitting, and what it finishes. */
const props = defineProps<{ sitting: Sitting }>();
const opened = useOpenedPiece();
const workings = useWorkings();
const settings = useSettings();

const needs = computed(() => layOut(workings.piece, workings.current!.plan, props.sitting));
</script>

<template>
  <div class="needs small">
    <p><strong>Lay out</strong></p>
    <ul>
      <li v-for="length in needs.lengths" :key="length.key">
        <i class="swatch" :style="{ background: length.hex }"></i>
        {{ lengthsToLayOut(length.name, length.count, length.strands, formatThread(length.cutMm, settings.units)) }}
      </li>
      <li v-if="needs.lengths.length === 0">{{ NO_NEW_THREAD }}</li>
      <li>{{ say.needlesToLayOut(needs.needles) }}</li>
      <li v-if="opened.piece.positions.length > 1">
        {{ say.hoopIn(needs.positions) }}
      </li>
      <li v-if="needs.drawn.length > 0">{{ redrawFirst(needs.drawn) }}</li>
    </ul>
    <p>
      {{ say.finishes(needs.finishes) }}
    </p>
  </div>
</template>

<style scoped>
.needs {
  display: grid;
  gap: 4px;
  padding: 6px 0 4px 10px;
}
ul {
  margin: 0;
  padding: 0;
  list-style: none;
  display: grid;
  gap: 2px;
}
.swatch {
  width: 11px;
  height: 11px;
  margin-right: 5px;
}
</style>
