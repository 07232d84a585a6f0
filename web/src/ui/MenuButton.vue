<script setup lang="ts">
import { NButton } from 'naive-ui';

import { useOpening } from './useOpening.ts';
import { comesLater } from './comesLater.ts';

/** A button below which a list of actions opens. */
defineOptions({ inheritAttrs: false });
defineProps<{ options: readonly { readonly key: string; readonly label: string }[] }>();
const emit = defineEmits<{ select: [key: string] }>();

const NDropdown = comesLater(async () => (await import('./opening.ts')).NDropdown);
const { isOpen, isUsed, place, press, pressedElsewhere } = useOpening('left');
function select(key: string): void {
  isOpen.value = false;
  emit('select', key);
}
</script>

<template>
  <NButton v-bind="$attrs" size="small" aria-haspopup="menu" :aria-expanded="isOpen" @click="press"><slot /></NButton>
  <NDropdown
    v-if="isUsed"
    trigger="manual"
    placement="bottom-start"
    :show="isOpen"
    v-bind="place"
    :options="[...options]"
    @select="select"
    @clickoutside="pressedElsewhere"
    @update:show="(value: boolean) => (isOpen = value)"
  />
</template>
