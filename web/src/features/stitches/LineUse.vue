<script setup lang="ts">
import { turnRound } from '@junctura/core/drawing';
import { setMarking, type Marking, type Part } from '@junctura/core/piece';
import { NButton } from 'naive-ui';
import { useOpenedPiece } from '../../session/openedPiece.ts';
import ChoiceField from '../../ui/ChoiceField.vue';

/** What a line is for: to be stitched, or only marked; and which way it runs. */
const props = defineProps<{ members: readonly Part[]; isOpen: boolean }>();
const opened = useOpenedPiece();

const STITCHED = 'stitched';
const USES: { value: Marking | typeof STITCHED; label: string }[] = [
  { value: STITCHED, label: 'Stitched' },
  { value: 'guide', label: 'Only marked: a line to measure by' },
  { value: 'cut', label: 'Only marked: cut along it' },
  { value: 'sew', label: 'Only marked: sew along it' },
  { value: 'fold', label: 'Only marked: fold along it' },
];
const ids = (): string[] => props.members.map(({ id }) => id);
</script>

<template>
  <div class="use">
    <ChoiceField
      label="This line is"
      :value="members[0]?.marking ?? STITCHED"
      :options="USES"
      @change="(use) => opened.edit(setMarking(opened.piece, ids(), use === STITCHED ? null : use))"
    />
    <NButton v-if="isOpen" size="small" data-test="turn-round" @click="opened.edit(turnRound(opened.piece, ids()))"
      >Reverse direction</NButton
    >
  </div>
  <p v-if="members[0]?.marking" class="small soft">
    It appears on the pattern and the light table, and takes no thread or time.
  </p>
  <p v-else-if="isOpen" class="small soft">
    It runs the way the arrow in the hoop points; anything with a side is worked on its left.
  </p>
</template>

<style scoped>
.use {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 10px;
  align-items: end;
}
</style>
