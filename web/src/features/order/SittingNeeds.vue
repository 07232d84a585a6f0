<script setup lang="ts">
import { formatThread, plural } from '@junctura/core/measure';
import type { Sitting } from '@junctura/core/thread';
import { computed } from 'vue';
import { useOpenedPiece } from '../../session/openedPiece.ts';
import { useSettings } from '../../session/settings.ts';
import { useWorkings } from '../../session/workings.ts';
import { layOut } from '@junctura/core/transfer';

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
        {{ length.name }}: {{ plural(length.count, 'length') }} of {{ plural(length.strands, 'strand') }},
        {{ formatThread(length.cutMm, settings.units) }} each
      </li>
      <li v-if="needs.lengths.length === 0">No new length: go on with what is in the needle.</li>
      <li>{{ plural(needs.needles.length, 'needle') }}: {{ needs.needles.join(', ') }}</li>
      <li v-if="opened.piece.positions.length > 1">
        Hoop in {{ needs.positions.length === 1 ? 'position' : 'positions' }} {{ needs.positions.join(', then ') }}
      </li>
      <li v-if="needs.drawn.length > 0">Draw anew first: {{ needs.drawn.join(', ') }}</li>
    </ul>
    <p>
      <strong>It finishes</strong>
      {{ needs.finishes.length > 0 ? needs.finishes.join(', ') : 'nothing whole, but it comes nearer' }}.
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
