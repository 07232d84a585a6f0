<script setup lang="ts">
import { NConfigProvider, NGlobalStyle } from 'naive-ui';
import { computed } from 'vue';
import { RouterView } from 'vue-router';
import { useSettings } from './stores/settings.ts';
import { componentTheme } from './theme.ts';

const settings = useSettings();
const theme = computed(() => componentTheme(settings.theme));
</script>

<template>
  <NConfigProvider :theme="theme.base" :theme-overrides="theme.overrides" style="height: 100%">
    <NGlobalStyle />
    <RouterView />
  </NConfigProvider>
</template>
