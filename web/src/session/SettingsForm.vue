<script setup lang="ts">
import { NRadio, NRadioGroup } from 'naive-ui';
import NumberField from '../ui/NumberField.vue';
import { useSettings } from './settings.ts';

/** What the person likes: units, light, how large this screen truly is. */
const settings = useSettings();
</script>

<template>
  <div class="stack">
    <fieldset>
      <legend class="small soft">Lengths in</legend>
      <NRadioGroup v-model:value="settings.units" name="units">
        <NRadio value="metric">mm and cm</NRadio>
        <NRadio value="inch">inches</NRadio>
      </NRadioGroup>
    </fieldset>
    <fieldset>
      <legend class="small soft">Light</legend>
      <NRadioGroup v-model:value="settings.theme" name="theme">
        <NRadio value="light">Daylight</NRadio>
        <NRadio value="lamp">Lamplight</NRadio>
      </NRadioGroup>
    </fieldset>
    <div class="bar" aria-hidden="true"></div>
    <NumberField
      label="This bar measures, against a ruler"
      :value="settings.screenBarMm"
      :min="40"
      :max="250"
      :step="0.5"
      unit="mm"
      @change="(mm) => (settings.screenBarMm = mm)"
    />
    <span class="small soft">Then “True size” is right on this screen.</span>
  </div>
</template>

<style scoped>
fieldset {
  border: 0;
  padding: 0;
  margin: 0;
}
.bar {
  width: calc(96px / 25.4 * 100);
  height: 10px;
  border: 1.5px solid currentcolor;
  border-top: 0;
}
</style>
