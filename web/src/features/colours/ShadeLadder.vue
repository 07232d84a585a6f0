<script setup lang="ts">
import { keepsStitch, shadeParts, takesShades, usesColour } from '@junctura/core/work';
import { THRESHOLDS } from '@junctura/core/advice';
import { roomForShades, TREATMENT } from '@junctura/core/propose';
import { deltaE, ladder } from '@junctura/core/colour';
import { isSameShade, refOf, type Shade, type ShadeRef } from '@junctura/core/materials';
import { NButton, NCheckbox } from 'naive-ui';
import { computed, ref } from 'vue';
import { useOpenedPiece } from '../../session/openedPiece.ts';
import { useWorkings } from '../../session/workings.ts';
import { useThreadBox } from '../../session/threadBox.ts';
import NumberField from '../../ui/NumberField.vue';
import * as say from './words.ts';

/** Shades from dark to light through the chosen one, to work an area in. */
const props = defineProps<{ colourId: string; shade: ShadeRef }>();

const opened = useOpenedPiece();

const workings = useWorkings();
const threads = useThreadBox();
const count = ref(3);
const ownedOnly = ref(false);
const NAMES: Readonly<Record<number, readonly string[]>> = {
  2: ['shadow', 'body'],
  3: ['shadow', 'body', 'highlight'],
};

const range = computed(() => threads.ranges.find(({ id }) => id === props.shade.range) ?? threads.ranges[0]!);
const rungs = computed((): Shade[] => {
  const through = range.value.shades.find((shade) => isSameShade(shade, props.shade));
  if (!through) return [];
  const from = ownedOnly.value
    ? range.value.shades.filter(
        (shade) =>
          shade === through || threads.offersIn([range.value.thread]).owned.some((own) => isSameShade(own, shade)),
      )
    : range.value.shades;
  return ladder(through, from, count.value);
});
const steps = computed(() => rungs.value.slice(1).map((rung, i) => deltaE(rungs.value[i]!.lab, rung.lab)));
const areas = computed(() =>
  (workings.current?.plan.parts ?? []).filter((planned) => takesShades(planned) && usesColour(planned, props.colourId)),
);
/** How many shades the narrowest of them can show. */
const room = computed(() => {
  const rooms = areas.value.map(({ placed, passes }) => {
    const wayMm = placed.kind === 'line' ? placed.lengthMm : (placed.widest?.r ?? 0) * 2;
    return roomForShades(wayMm, passes.find(({ role }) => role === 'filling')?.params ?? {});
  });
  return rooms.length === 0 ? 0 : Math.min(...rooms);
});
/** Those whose stitch can't hand shades on: that is said before it is done. */
const changed = computed(() => areas.value.filter((planned) => !keepsStitch(planned)).map(({ part }) => part.name));
function work(): void {
  opened.edit(shadeParts(opened.piece, areas.value, rungs.value.map(refOf)));
}
</script>

<template>
  <div class="ladder" data-test="ladder">
    <div class="pair">
      <NumberField
        label="Shades, dark to light"
        :value="count"
        :min="2"
        :max="8"
        unit=""
        @change="(n) => (count = n)"
      />
      <NCheckbox v-model:checked="ownedOnly" size="small">Only threads I own</NCheckbox>
    </div>
    <ol>
      <li v-for="(rung, i) in rungs" :key="rung.code">
        <span class="rung" :style="{ background: rung.hex }"></span>
        <span class="small">{{ say.rung(rung.name, NAMES[rungs.length]?.[i] ?? null) }}</span>
        <span v-if="i > 0" class="small soft figure">{{
          say.ladderStep(steps[i - 1]!, steps[i - 1]! < THRESHOLDS.ladderStep)
        }}</span>
      </li>
    </ol>
    <p v-if="rungs.length < count" class="small soft">
      {{ say.fewRungs(rungs.length) }}
    </p>
    <p v-if="areas.length > 0" class="small soft">
      {{ say.roomInAreas(areas.length, room, TREATMENT.shadeRowMm) }}
    </p>
    <NButton v-if="areas.length > 0" size="small" :disabled="rungs.length < 2" @click="work">
      {{ areas.length === 1 ? say.workPartInShades(areas[0]!.part.name) : say.workPartsInShades(areas.length) }}
    </NButton>
    <p v-if="changed.length > 0" class="small soft" data-test="changes-stitch">{{ say.becomesLongShort(changed) }}</p>
  </div>
</template>

<style scoped>
.ladder {
  display: grid;
  gap: 8px;
}
.pair {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 12px;
  align-items: end;
}
ol {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  display: grid;
  grid-template-columns: 64px 1fr auto;
  gap: 10px;
  align-items: center;
}
.rung {
  height: 22px;
}
li:first-child .rung {
  border-radius: 6px 6px 0 0;
}
li:last-child .rung {
  border-radius: 0 0 6px 6px;
}
</style>
