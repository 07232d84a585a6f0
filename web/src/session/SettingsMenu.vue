<script setup lang="ts">
import { Settings } from '@lucide/vue';
import { NButton, NPopover } from 'naive-ui';
import { defineAsyncComponent } from 'vue';

const SettingsForm = defineAsyncComponent(() => import('./SettingsForm.vue'));
</script>

<template>
  <NPopover trigger="click" placement="bottom-end" style="max-width: 430px">
    <template #trigger>
      <NButton quaternary size="small" aria-label="Settings"><Settings :size="19" /></NButton>
    </template>
    <SettingsForm />
  </NPopover>
</template>
