<script setup lang="ts">
import { NButton, NInput } from 'naive-ui';
import { ref } from 'vue';
import { RouterLink } from 'vue-router';
import { takeHandedOver } from '../../keeping/handOver.ts';
import { useIntake } from '../../session/intake.ts';

/** Takes a piece that was handed over on another device. It is not taken before the person says so: it can be taken once. */
const props = defineProps<{ code?: string }>();
const intake = useIntake();
const typed = ref(props.code ?? '');
const problem = ref<string | null>(null);
const isBusy = ref(false);

async function take(): Promise<void> {
  isBusy.value = true;
  const taken = await takeHandedOver(typed.value);
  isBusy.value = false;
  problem.value = taken.ok ? null : taken.problem;
  if (taken.ok) await intake.adopt(taken.value, 'at-the-hoop');
}
</script>

<template>
  <main class="take stack">
    <h1>Receive a piece</h1>
    <label class="stack">
      <span>The code, as the other device shows it</span>
      <NInput
        v-model:value="typed"
        size="large"
        placeholder="KT7M 2WQX"
        maxlength="200"
        :input-props="{ autocapitalize: 'characters', autocomplete: 'off', spellcheck: 'false' }"
        @keydown.enter="take"
      />
    </label>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <NButton type="primary" size="large" :loading="isBusy" @click="take">Receive piece</NButton>
    <RouterLink to="/">Back to the bench</RouterLink>
  </main>
</template>

<style scoped>
.take {
  max-width: 460px;
  margin: 10vh auto;
  padding: 0 20px;
  gap: 16px;
}
.problem {
  padding: 10px 14px;
  border-left: 4px solid var(--madder);
}
</style>
