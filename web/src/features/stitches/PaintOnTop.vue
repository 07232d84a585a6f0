<script setup lang="ts">
import { labOf, labOfRgb, nearestColours } from '@junctura/core/colour';
import { addParts } from '@junctura/core/drawing';
import { pathData } from '@junctura/core/geometry';
import { formatLength } from '@junctura/core/measure';
import type { Ridge } from '@junctura/core/painting';
import { shownColour } from '@junctura/core/piece';
import type { PlannedPass } from '@junctura/core/work';
import { NButton, NCheckbox } from 'naive-ui';
import { computed, ref, shallowRef } from 'vue';
import { useOpenedPiece } from '../../session/openedPiece.ts';
import { useSettings } from '../../session/settings.ts';
import { useWorkings } from '../../session/workings.ts';
import type { JobInput } from '../../workers/jobs.ts';
import * as say from './words.ts';

/** Catch-lights, whiskers and single hairs that lie on top of a painting: found, struck out one by one, added as parts of their own. */
const props = defineProps<{ pass: PlannedPass; asked: () => JobInput<'onTop'> }>();
const opened = useOpenedPiece();
const workings = useWorkings();
const settings = useSettings();

const STROKE_MM = 0.3;
const found = shallowRef<readonly Ridge[] | null>(null);
const struck = shallowRef<ReadonlySet<Ridge>>(new Set());
const isLooking = ref(false);

async function look(): Promise<void> {
  isLooking.value = true;
  const answer = await workings.planner.ask('onTop', props.asked(), { key: 'onTop' });
  isLooking.value = false;
  if (!answer?.ok) return;
  found.value = answer.value;
  struck.value = new Set();
}

/** The nearest of the shades that are on the needle already. */
function hexFor({ rgb: [r, g, b] }: Ridge): string {
  const hexes = props.pass.shades.map((id) => shownColour(workings.piece, id).hex);
  const shades = hexes.map((hex) => ({ hex, lab: labOf(hex) }));
  return nearestColours(labOfRgb(r / 255, g / 255, b / 255), shades, 1)[0]!.item.hex;
}
const rows = computed(() => {
  const counts = { light: 0, hair: 0 };
  return (found.value ?? []).map((ridge) => {
    const name = say.ridge[ridge.kind](++counts[ridge.kind]);
    return { ridge, name, hex: hexFor(ridge) };
  });
});
const kept = computed(() => rows.value.filter(({ ridge }) => !struck.value.has(ridge)));

function strike(ridge: Ridge, isKept: boolean): void {
  const now = new Set(struck.value);
  if (isKept) now.delete(ridge);
  else now.add(ridge);
  struck.value = now;
}

function add(): void {
  const parts = kept.value.map(({ ridge, name, hex }) => ({
    name,
    kind: 'line' as const,
    path: pathData({ points: ridge.points, closed: false }, 2),
    strokeMm: STROKE_MM,
    hex,
  }));
  opened.edit(addParts(opened.piece, parts, [0, 0], say.addLines(parts.length)));
  found.value = null;
}
</script>

<template>
  <div class="row">
    <NButton size="small" :loading="isLooking" data-test="on-top" @click="look"
      >Find highlights and hairs on top</NButton
    >
  </div>
  <p v-if="found && found.length === 0" class="small soft">No thin highlights or hairs stand out here.</p>
  <template v-else-if="found">
    <ul class="found" aria-label="Highlights and hairs">
      <li v-for="{ ridge, name, hex } in rows" :key="name">
        <NCheckbox :checked="!struck.has(ridge)" size="small" @update:checked="(isKept) => strike(ridge, isKept)">
          <span class="swatch" :style="{ background: hex }"></span> {{ name }},
          {{ formatLength(ridge.lengthMm, settings.units) }}
        </NCheckbox>
      </li>
    </ul>
    <NButton size="small" type="primary" :disabled="kept.length === 0" @click="add">{{
      say.addLinesLast(kept.length)
    }}</NButton>
  </template>
</template>

<style scoped>
.found {
  list-style: none;
  margin: 0;
  padding: 0;
  max-height: 190px;
  overflow-y: auto;
}
</style>
