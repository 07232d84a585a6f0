<script setup lang="ts">
import { formatDuration, formatThread } from '@junctura/core/measure';
import { END_NAMES } from '@junctura/core/finish';
import { computed, ref, type Component } from 'vue';
import { useFinishing } from '../../session/finishing.ts';
import { useSettings } from '../../session/settings.ts';
import TabRow from '../../ui/TabRow.vue';
import EndChoice from './EndChoice.vue';
import * as say from './words.ts';
import { comesLater } from '../../ui/comesLater.ts';

/** From the last stitch to the thing itself: how it ends, what is to do and to buy, templates, and the piece's end. */
const finishing = useFinishing();
const settings = useSettings();
finishing.want();

const VIEWS = [
  { id: 'end', name: 'What it becomes', card: EndChoice },
  { id: 'steps', name: 'Steps', card: comesLater(() => import('./FinishSteps.vue')) },
  { id: 'templates', name: 'Templates', card: comesLater(() => import('./TemplatesCard.vue')) },
  { id: 'price', name: 'Price and label', card: comesLater(() => import('./PriceCard.vue')) },
] as const satisfies readonly { id: string; name: string; card: Component }[];
const shown = ref<(typeof VIEWS)[number]['id']>('end');
const card = computed(() => VIEWS.find(({ id }) => id === shown.value)!.card);
const plan = computed(() => finishing.plan);
</script>

<template>
  <div class="stack">
    <h2>Finish</h2>
    <p v-if="finishing.problem" role="alert">{{ finishing.problem }}</p>
    <p v-if="!plan && !finishing.problem" class="soft" role="status">Working out the finishing steps…</p>
    <template v-if="plan">
      <p class="cost figure" data-test="finish-cost">
        {{ say.finishCost(END_NAMES[plan.end].name, plan.steps.length, formatDuration(plan.seconds / 3600))
        }}<template v-if="plan.threadMm > 0">
          {{ say.edgeThread(formatThread(plan.threadMm, settings.units)) }}</template
        >
      </p>
      <TabRow label="Finish" :tabs="VIEWS" :here="shown" @pick="(id) => (shown = id)" />
      <component :is="card" :plan="plan" />
    </template>
  </div>
</template>

<style scoped>
.cost {
  color: var(--ink-soft);
}
</style>
