<script setup lang="ts">
import { NButton } from 'naive-ui';
import { computed, defineAsyncComponent, ref, type Component } from 'vue';
import { RouterLink } from 'vue-router';
import NeedleQuestion from './NeedleQuestion.vue';
import ThreadNeeds from './ThreadNeeds.vue';
import ThreadReach from './ThreadReach.vue';
import ThreadRecord from './ThreadRecord.vue';
import WorkHabits from './WorkHabits.vue';

const ShoppingDialog = defineAsyncComponent(() => import('./ShoppingDialog.vue'));

/** The questions of thread, in the order in which they come up. */
const QUESTIONS = [
  { id: 'need', name: 'How much', card: ThreadNeeds },
  { id: 'reach', name: 'Will it reach?', card: ThreadReach },
  { id: 'needle', name: 'On the needle', card: NeedleQuestion },
  { id: 'record', name: 'What was used', card: ThreadRecord },
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
    <nav aria-label="Questions of thread">
      <button
        v-for="question in QUESTIONS"
        :key="question.id"
        type="button"
        class="plain"
        :class="{ here: question.id === asked }"
        :aria-pressed="question.id === asked"
        @click="asked = question.id"
      >
        {{ question.name }}
      </button>
    </nav>
    <component :is="card" />
    <ShoppingDialog v-if="isShopping" @close="isShopping = false" />
  </div>
</template>

<style scoped>
.box {
  color: var(--ink);
  text-underline-offset: 3px;
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
