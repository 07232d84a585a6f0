<script setup lang="ts">
import { Settings } from '@lucide/vue';
import { useEventListener } from '@vueuse/core';
import { NButton } from 'naive-ui';

import { useOpening } from '../ui/useOpening.ts';
import { comesLater } from '../ui/comesLater.ts';

const NPopover = comesLater(async () => (await import('../ui/opening.ts')).NPopover);
const SettingsForm = comesLater(() => import('./SettingsForm.vue'));
const { isOpen, isUsed, place, press, pressedElsewhere } = useOpening('right');
useEventListener('keydown', ({ key }) => {
  if (key === 'Escape') isOpen.value = false;
});
</script>

<template>
  <NButton quaternary size="small" aria-label="Settings" :aria-expanded="isOpen" @click="press"
    ><Settings :size="19"
  /></NButton>
  <NPopover
    v-if="isUsed"
    trigger="manual"
    placement="bottom-end"
    style="max-width: 430px"
    :show="isOpen"
    v-bind="place"
    @clickoutside="pressedElsewhere"
  >
    <SettingsForm />
  </NPopover>
</template>
