<script setup lang="ts">
import { setWorker } from '@junctura/core/piece';
import { NCheckbox } from 'naive-ui';
import ChoiceField from '../../ui/ChoiceField.vue';
import NumberField from '../../ui/NumberField.vue';
import TheDialog from '../../ui/TheDialog.vue';
import { useOpenedPiece } from '../../session/openedPiece.ts';
import { useSettings, type HoopSettings } from '../../session/settings.ts';

/** What this device may do while one stitches. */
const emit = defineEmits<{ close: [] }>();
const opened = useOpenedPiece();
const settings = useSettings();

const HANDS = [
  { value: 'right', label: 'Right' },
  { value: 'left', label: 'Left' },
] as const;
const SIDES = [
  { value: 'right', label: 'On the right' },
  { value: 'left', label: 'On the left' },
] as const;
const TYPES = [
  { value: 'usual', label: 'Usual' },
  { value: 'large', label: 'Large' },
  { value: 'largest', label: 'Extra large' },
] as const;
function set(change: Partial<HoopSettings>): void {
  settings.hoop = { ...settings.hoop, ...change };
}
</script>

<template>
  <TheDialog title="Settings for stitching" width="420px" @close="emit('close')">
    <div class="stack">
      <ChoiceField label="Text size" :value="settings.hoop.type" :options="TYPES" @change="(type) => set({ type })" />
      <ChoiceField
        label="Buttons, when the phone lies on its side"
        :value="settings.hoop.target"
        :options="SIDES"
        @change="(target) => set({ target })"
      />
      <ChoiceField
        label="Needle hand"
        :value="opened.piece.worker.hand"
        :options="HANDS"
        @change="(hand) => opened.edit(setWorker(opened.piece, { hand }))"
      />
      <NumberField
        label="Suggest a break after"
        :value="settings.hoop.breakMin"
        :min="10"
        :max="180"
        :step="5"
        unit="min"
        @change="(breakMin) => set({ breakMin })"
      />
      <NCheckbox :checked="settings.hoop.staysAwake" @update:checked="(staysAwake) => set({ staysAwake })"
        >Keep the screen on during a sitting</NCheckbox
      >
      <NCheckbox :checked="settings.hoop.sounds" @update:checked="(sounds) => set({ sounds })"
        >Play a soft sound for each tap</NCheckbox
      >
      <NCheckbox :checked="settings.hoop.voice" @update:checked="(voice) => set({ voice })"
        >Read the next step aloud (browser voice)</NCheckbox
      >
      <NCheckbox :checked="settings.hoop.lampAtNight" @update:checked="(lampAtNight) => set({ lampAtNight })"
        >Switch to lamplight in the evening</NCheckbox
      >
    </div>
  </TheDialog>
</template>
