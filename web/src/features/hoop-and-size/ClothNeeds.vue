<script setup lang="ts">
import { hoopNeeds, outerHalvesMm, TAPE } from '@junctura/core/materials';
import { formatLength } from '@junctura/core/measure';
import type { Hoop } from '@junctura/core/piece';
import { NCheckbox } from 'naive-ui';
import { computed } from 'vue';
import ChoiceField from '../../ui/ChoiceField.vue';
import { useSettings } from '../../session/settings.ts';
import * as say from './words.ts';

/** What the hoop takes of cloth, tape and gathering thread, with the cut drawn to its grain. */
const props = defineProps<{ hoop: Hoop; spread: readonly [number, number] }>();
const emit = defineEmits<{ bound: [bound: boolean]; ring: [ring: Hoop['ring']] }>();
const RINGS: { value: Hoop['ring']; label: string }[] = [
  { value: 'wood', label: 'Wood' },
  { value: 'plastic', label: 'Plastic' },
];
const settings = useSettings();
const needs = computed(() => hoopNeeds(props.hoop, [...props.spread]));
const rings = computed(() => outerHalvesMm(props.hoop));
const length = (mm: number): string => formatLength(mm, settings.units);
const box = computed(() => {
  const { clothAcrossMm: w, clothUprightMm: h } = needs.value;
  return { w, h, view: `${-w / 2 - 26} ${-h / 2 - 6} ${w + 32} ${h + 12}` };
});
</script>

<template>
  <div class="needs">
    <svg :viewBox="box.view" role="img" aria-label="How the cloth is cut, its grain straight up and down">
      <rect :x="-box.w / 2" :y="-box.h / 2" :width="box.w" :height="box.h" class="cut" />
      <ellipse :rx="rings[0]" :ry="rings[1]" class="ring" />
      <ellipse :rx="rings[0] + needs.trimMm" :ry="rings[1] + needs.trimMm" class="trim" />
      <path
        :d="`M${-box.w / 2 - 14} ${-box.h / 4}V${box.h / 4}m-5 -8l5 8l5 -8M${-box.w / 2 - 19} ${-box.h / 4 + 8}l5 -8l5 8`"
        class="grain"
      />
    </svg>
    <dl>
      <dt>Cloth, grain up and down</dt>
      <dd class="figure" data-test="cloth-cut">
        {{ length(needs.clothAcrossMm) }} × {{ length(needs.clothUprightMm) }}
      </dd>
      <dt>Trimmed for gathering, outside the hoop</dt>
      <dd class="figure">{{ length(needs.trimMm) }}</dd>
      <dt>Gathering thread</dt>
      <dd class="figure">{{ length(needs.gatheringMm) }}</dd>
    </dl>
  </div>
  <ChoiceField label="Hoop made of" :value="hoop.ring" :options="RINGS" @change="emit('ring', $event)" />
  <div class="binding">
    <NCheckbox :checked="hoop.bound" @update:checked="(bound: boolean) => emit('bound', bound)"
      >Bind both rings</NCheckbox
    >
    <span v-if="hoop.bound" class="figure">{{ say.tapeFor(needs.tapeMm / 1000, TAPE.widthMm) }}</span>
    <span v-else class="soft">not bound</span>
  </div>
  <p class="small soft">
    A bound hoop grips better, leaves fewer marks and keeps wood from staining the cloth. Take the work out of the hoop
    between sittings.
  </p>
</template>

<style scoped>
.needs {
  display: grid;
  grid-template-columns: 116px 1fr;
  gap: 16px;
  align-items: center;
}
.cut {
  fill: color-mix(in srgb, var(--linen) 70%, transparent);
  stroke: var(--ink-soft);
  stroke-width: 1.5;
}
.ring {
  fill: none;
  stroke: var(--wood-dark);
  stroke-width: 5;
}
.trim {
  fill: none;
  stroke: var(--madder);
  stroke-width: 1.5;
  stroke-dasharray: 6 4;
}
.grain {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2;
}
dl {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 3px 10px;
  margin: 0;
  font-size: 14px;
}
.binding {
  display: flex;
  justify-content: space-between;
  gap: 10px;
  font-size: 14px;
}
dt {
  color: var(--ink-soft);
}
dd {
  margin: 0;
  text-align: right;
}
</style>
