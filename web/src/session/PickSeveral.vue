<script setup lang="ts">
import { NCheckbox } from 'naive-ui';
import { useSelection } from './selection.ts';

/** Several parts by one press each, for hands without keys. */
const selection = useSelection();
</script>

<template>
  <NCheckbox v-model:checked="selection.picksSeveral" size="small" data-test="picks-several"
    >Pick several by tapping</NCheckbox
  >
</template>
