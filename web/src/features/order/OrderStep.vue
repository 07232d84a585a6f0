<script setup lang="ts">
import LessonLinks from '../../ui/LessonLinks.vue';
import { formatDuration } from '@junctura/core/measure';
import { countSteps, numberedSteps } from '@junctura/core/order';
import { orderTotals } from '@junctura/core/thread';
import { computed, ref, type Component } from 'vue';
import { useWorkings } from '../../session/workings.ts';
import TabRow from '../../ui/TabRow.vue';
import StepsCard from './StepsCard.vue';
import * as say from './words.ts';
import { comesLater } from '../../ui/comesLater.ts';

/** The order of work: its steps in sittings, the ways to order it, the days, and the guide to hand on. */
const workings = useWorkings();

const VIEWS = [
  { id: 'steps', name: 'Steps', card: StepsCard },
  { id: 'ways', name: 'Ways of working', card: comesLater(() => import('./WaysCard.vue')) },
  { id: 'days', name: 'Days', card: comesLater(() => import('./DaysCard.vue')) },
  { id: 'guide', name: 'Guide', card: comesLater(() => import('./GuideCard.vue')) },
] as const satisfies readonly { id: string; name: string; card: Component }[];
const shown = ref<(typeof VIEWS)[number]['id']>('steps');
const card = computed(() => VIEWS.find(({ id }) => id === shown.value)!.card);

const plan = computed(() => workings.current!.plan);
const totals = computed(() => orderTotals(workings.piece, plan.value));
</script>

<template>
  <div class="stack">
    <h2>Order of work</h2>
    <p class="small soft">
      New to this? See the drawings: <LessonLinks :lessons="['mounting', 'strands', 'waste-knot', 'fastening-off']" />
    </p>
    <p v-if="plan.order.length === 0" class="soft">
      There is nothing to order yet. Import a drawing, or draw parts with the pen; each layer of stitches becomes a step
      here.
    </p>
    <template v-else>
      <p class="cost figure" data-test="order-cost">
        {{
          say.orderCost({
            steps: countSteps(numberedSteps(plan)),
            sittings: totals.sittings,
            time: formatDuration(totals.seconds / 3600),
            threadings: totals.threadings,
            colourChanges: totals.colourChanges,
          })
        }}
        <template v-if="totals.hoopMoves > 0"> {{ say.hoopMoved(totals.hoopMoves) }}</template>
      </p>
      <TabRow label="Order of work" :tabs="VIEWS" :here="shown" @pick="(id) => (shown = id)" />
      <component :is="card" />
    </template>
  </div>
</template>

<style scoped>
.cost {
  color: var(--ink-soft);
}
</style>
