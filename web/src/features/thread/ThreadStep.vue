<script setup lang="ts">
import { NButton } from 'naive-ui';
import { computed, ref, type Component } from 'vue';
import { RouterLink } from 'vue-router';
import ThreadNeeds from './ThreadNeeds.vue';
import ThreadReach from './ThreadReach.vue';
import TabRow from '../../ui/TabRow.vue';
import WorkHabits from './WorkHabits.vue';
import { comesLater } from '../../ui/comesLater.ts';

const ShoppingDialog = comesLater(() => import('./ShoppingDialog.vue'));

/** The questions of thread, in the order in which they come up. */
const QUESTIONS = [
  { id: 'need', name: 'How much', card: ThreadNeeds },
  { id: 'reach', name: 'Will it be enough?', card: ThreadReach },
  { id: 'habits', name: 'How you work', card: WorkHabits },
] as const satisfies readonly { id: string; name: string; card: Component }[];
const asked = ref<(typeof QUESTIONS)[number]['id']>('need');
const card = computed(() => QUESTIONS.find(({ id }) => id === asked.value)!.card);
const isShopping = ref(false);
</script>

<template>
  <div class="stack">
    <h2>Thread and hours</h2>
    <div class="row">
      <NButton size="small" type="primary" @click="isShopping = true">Shopping list…</NButton>
      <RouterLink :to="{ name: 'threads' }" class="box">Thread box</RouterLink>
    </div>
    <TabRow label="Thread" :tabs="QUESTIONS" :here="asked" @pick="(id) => (asked = id)" />
    <component :is="card" />
    <ShoppingDialog v-if="isShopping" @close="isShopping = false" />
  </div>
</template>

<style scoped>
.box {
  color: var(--ink);
  text-underline-offset: 3px;
}
</style>
