<script setup lang="ts">
import { X } from '@lucide/vue';
import { useDropZone, useEventListener } from '@vueuse/core';
import { NButton, NConfigProvider, NGlobalStyle, type GlobalTheme } from 'naive-ui';
import { computed, provide, ref, shallowRef, watch } from 'vue';
import { RouterView, useRoute } from 'vue-router';
import { newVersion, takeNewVersion } from '../offline/newVersion.ts';
import { useKeeper } from '../session/keeper.ts';
import { useIntake } from '../session/intake.ts';
import { UNITS } from '../ui/units.ts';
import { useSettings } from '../session/settings.ts';
import { controlWords } from './controls.ts';
import { themeOverrides } from './theme.ts';
import * as say from './words.ts';
import { askAgain, comesLater, missingParts } from '../ui/comesLater.ts';

/** What is asked for now and then is loaded then. */
const LeavingDialog = comesLater(() => import('./LeavingDialog.vue'));
const PictureIntake = comesLater(() => import('../features/drawing/PictureIntake.vue'));

const settings = useSettings();
provide(
  UNITS,
  computed(() => settings.units),
);
const keeper = useKeeper();
const intake = useIntake();
const overrides = computed(() => themeOverrides(settings.shownTheme));
const lamp = shallowRef<GlobalTheme | null>(null);
watch(
  () => settings.shownTheme,
  async (theme) => {
    if (theme === 'lamp') lamp.value = (await import('./lampTheme.ts')).darkTheme;
  },
  { immediate: true },
);
/** In the middle of a sitting nobody wants another version. */
const route = useRoute();
const isAtHoop = computed(() => route.name === 'at-the-hoop');
const body = ref(document.body);
useEventListener(document, 'paste', intake.paste);
const { isOverDropZone } = useDropZone(body, { onDrop: (files) => void intake.take(files) });
</script>

<template>
  <NConfigProvider
    :theme="settings.shownTheme === 'lamp' ? lamp : null"
    :theme-overrides="overrides"
    :locale="controlWords"
    class="whole"
    :data-components="settings.shownTheme === 'lamp' && lamp ? 'lamp' : 'light'"
  >
    <NGlobalStyle />
    <RouterView />
    <LeavingDialog v-if="keeper.asked" />
    <PictureIntake
      v-if="intake.picture"
      :key="intake.picture.name + intake.picture.lastModified"
      :file="intake.picture"
      @done="(piece, step) => intake.adopt({ piece, record: [] }, step)"
      @refused="intake.refuse"
      @close="intake.nextPicture"
    />
    <div v-if="newVersion && !isAtHoop" class="notice">
      <span role="status">A new version of Junctura is ready.</span>
      <NButton size="small" @click="takeNewVersion">Update now</NButton>
    </div>
    <div v-if="missingParts.size > 0" class="notice problem" data-test="missing">
      <span role="alert"
        >Part of this page could not be loaded: Junctura doesn’t answer. What you did is safe, and the rest appears as
        soon as the connection is back.</span
      >
      <NButton size="small" @click="askAgain">Try again</NButton>
    </div>
    <div v-if="isOverDropZone" class="drop" aria-hidden="true">
      Drop a drawing, a picture or a piece to add it to your bench
    </div>
    <div v-if="intake.readingName" class="notice" role="status">
      <span>{{ say.reading(intake.readingName) }}</span>
      <NButton size="small" @click="intake.cancel">Stop</NButton>
    </div>
    <div v-if="intake.told" class="notice">
      <span role="status">{{ intake.told }}</span>
      <NButton quaternary size="small" aria-label="Close this message" @click="intake.told = null">
        <X :size="18" />
      </NButton>
    </div>
    <div v-if="intake.problem" class="notice problem">
      <span role="alert">{{ intake.problem }}</span>
      <NButton quaternary size="small" aria-label="Close this message" @click="intake.problem = null">
        <X :size="18" />
      </NButton>
    </div>
  </NConfigProvider>
</template>

<style scoped>
.whole {
  height: 100%;
}
.drop {
  position: fixed;
  inset: 14px;
  z-index: 30;
  display: grid;
  place-items: center;
  border: 3px dashed var(--madder);
  border-radius: 18px;
  background: color-mix(in srgb, var(--linen) 86%, transparent);
  font-family: var(--serif);
  font-size: 26px;
  pointer-events: none;
}
.notice {
  position: fixed;
  z-index: 40;
  left: 50%;
  top: 70px;
  transform: translateX(-50%);
  width: max-content;
  max-width: min(680px, calc(100vw - 40px));
  display: flex;
  align-items: center;
  gap: 14px;
  padding: 12px 12px 12px 18px;
  background: var(--paper);
  border: 1px solid var(--chalk);
  border-left: 4px solid var(--ink-soft);
  border-radius: 6px;
  box-shadow: var(--shadow);
}
.problem {
  border-left-color: var(--madder);
}
</style>
