<script setup lang="ts">
import { NButton, NProgress } from 'naive-ui';

/** How far trying one thing after the other is, and a way to stop it. */
defineProps<{ share: number; said: string; canStop: boolean }>();
defineEmits<{ stop: [] }>();
</script>

<template>
  <div class="trying" role="status">
    <NProgress type="line" :percentage="Math.round(share * 100)" :height="8" :show-indicator="false" />
    <span class="small soft">{{ said }}</span>
    <NButton v-if="canStop" size="tiny" @click="$emit('stop')">Stop</NButton>
  </div>
</template>

<style scoped>
.trying {
  display: grid;
  grid-template-columns: 1fr auto auto;
  gap: 12px;
  align-items: center;
  margin-bottom: 12px;
}
</style>
