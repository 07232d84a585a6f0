<script setup lang="ts">
import { choiceOfLevel } from '@junctura/core/advice';
import { LEVELS, setLevels, type Level } from '@junctura/core/piece';
import { NButton } from 'naive-ui';
import { computed, ref } from 'vue';
import { useOpenedPiece } from '../../session/openedPiece.ts';
import ChoiceField from '../../ui/ChoiceField.vue';
import TheDialog from '../../ui/TheDialog.vue';
import { comesLater } from '../../ui/comesLater.ts';

/** How much of the piece is stitched; what was chosen by hand stays. */
const ThreeVersions = comesLater(async () => (await import('../begin/index.ts')).ThreeVersions);
const opened = useOpenedPiece();
const isComparing = ref(false);

const NAMES: Readonly<Record<Level, string>> = {
  simple: 'Simple: lines and small areas',
  usual: 'Usual',
  rich: 'Rich: shaded and padded',
};
const MIXED = 'mixed';
/** Where the hours were said, parts are stitched more or less than usual. */
const isMixed = computed(
  () => opened.piece.level === 'usual' && opened.piece.drawing.parts.some(({ level }) => level !== null),
);
const value = computed(() => (isMixed.value ? MIXED : opened.piece.level));
const options = computed((): { value: Level | typeof MIXED; label: string }[] => [
  ...(isMixed.value ? [{ value: MIXED, label: 'As the hours allow' } as const] : []),
  ...LEVELS.map((level) => ({ value: level, label: NAMES[level] })),
]);
function choose(level: Level | typeof MIXED): void {
  if (level === MIXED) return;
  const { of, shaded } = choiceOfLevel(opened.piece, level);
  opened.edit(setLevels(opened.piece, level, of, shaded));
}
</script>

<template>
  <div class="stack tight">
    <ChoiceField label="How much is stitched" :value="value" :options="options" @change="choose" />
    <div>
      <NButton size="small" data-test="compare-versions" @click="isComparing = true">Compare versions…</NButton>
    </div>
    <TheDialog v-if="isComparing" title="Versions of this piece" width="1040px" @close="isComparing = false">
      <ThreeVersions :hours="null" @chosen="isComparing = false" />
    </TheDialog>
  </div>
</template>
