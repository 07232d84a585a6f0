<script setup lang="ts">
import { X } from '@lucide/vue';
import { NButton, NModal } from 'naive-ui';
import { useId } from 'vue';

/** A window over the page, with a heading and a way to close it. */
withDefaults(defineProps<{ title: string; show?: boolean; width: string; staysOpen?: boolean }>(), { show: true });
const emit = defineEmits<{ close: [] }>();
const id = useId();
</script>

<template>
  <NModal :show="show" :mask-closable="!staysOpen" @update:show="(value: boolean) => value || emit('close')">
    <!-- A div: the trap that keeps the focus in the window looks for one. -->
    <div class="dialog" role="dialog" aria-modal="true" :aria-labelledby="id" :style="{ width }">
      <header>
        <h2 :id="id">{{ title }}</h2>
        <NButton quaternary size="small" aria-label="Close" @click="emit('close')"><X :size="18" /></NButton>
      </header>
      <slot />
    </div>
  </NModal>
</template>

<style scoped>
.dialog {
  max-width: 96vw;
  background: var(--paper);
  color: var(--ink);
  border-radius: 8px;
  padding: 18px 26px 24px;
}
header {
  display: flex;
  justify-content: space-between;
  align-items: center;
  margin-bottom: 14px;
}
h2 {
  font-size: 20px;
}
</style>
