<script setup lang="ts">
import { formatDuration, plural } from '@junctura/core/measure';
import { orderTotals } from '@junctura/core/thread';
import { computed, defineAsyncComponent, ref, type Component } from 'vue';
import { useOpenedPiece } from '../../session/openedPiece.ts';
import { useWorkings } from '../../session/workings.ts';
import StepsCard from './StepsCard.vue';

/** The order of work: its steps in sittings, the ways to order it, the days, and the guide to hand on. */
const opened = useOpenedPiece();
const workings = useWorkings();

const VIEWS = [
  { id: 'steps', name: 'Steps', card: StepsCard },
  { id: 'ways', name: 'Ways to work', card: defineAsyncComponent(() => import('./WaysCard.vue')) },
  { id: 'days', name: 'Days', card: defineAsyncComponent(() => import('./DaysCard.vue')) },
  { id: 'guide', name: 'Guide', card: defineAsyncComponent(() => import('./GuideCard.vue')) },
] as const satisfies readonly { id: string; name: string; card: Component }[];
const shown = ref<(typeof VIEWS)[number]['id']>('steps');
const card = computed(() => VIEWS.find(({ id }) => id === shown.value)!.card);

const plan = computed(() => workings.current!.plan);
const totals = computed(() => orderTotals(opened.piece, plan.value));
</script>

<template>
  <div class="stack">
    <h2>Order of work</h2>
    <p v-if="plan.order.length === 0" class="soft">
      There is nothing to put in order yet. Bring in a drawing, or draw parts with the pen; each layer of stitches
      becomes a step here.
    </p>
    <template v-else>
      <p class="cost figure" data-test="order-cost">
        {{ plural(plan.order.length, 'step') }} in {{ plural(totals.sittings, 'sitting') }} ·
        {{ formatDuration(totals.seconds / 3600) }} · {{ plural(totals.threadings, 'threading') }} ·
        {{ plural(totals.colourChanges, 'change of colour', 'changes of colour') }}
        <template v-if="totals.hoopMoves > 0"> · the hoop moved {{ plural(totals.hoopMoves, 'time') }}</template>
      </p>
      <nav aria-label="Order of work">
        <button
          v-for="view in VIEWS"
          :key="view.id"
          type="button"
          class="plain"
          :class="{ here: view.id === shown }"
          :aria-pressed="view.id === shown"
          @click="shown = view.id"
        >
          {{ view.name }}
        </button>
      </nav>
      <component :is="card" />
    </template>
  </div>
</template>

<style scoped>
.cost {
  color: var(--ink-soft);
}
nav {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 16px;
  border-bottom: 1px solid var(--chalk);
}
nav button {
  padding: 4px 0 6px;
  border-bottom: 2px solid transparent;
}
nav button:hover {
  border-bottom-color: var(--chalk);
}
nav button.here {
  border-bottom-color: var(--madder);
  font-weight: 600;
}
</style>
