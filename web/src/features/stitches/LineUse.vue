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
      >Turn it round</NButton
    >
  </div>
  <p v-if="members[0]?.marking" class="small soft">
    It is on the pattern and the light table, and takes no thread and no time.
  </p>
  <p v-else-if="isOpen" class="small soft">
    It runs as the arrow in the hoop: what has a side stands to the left of that.
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
