<script setup lang="ts">
import { THREAD_KINDS, type ThreadId } from '@junctura/core/materials';
import { workAllIn } from '@junctura/core/work';
import { computed } from 'vue';
import { useOpenedPiece } from '../../session/openedPiece.ts';
import PickedBar from '../../session/PickedBar.vue';
import PickSeveral from '../../session/PickSeveral.vue';
import { useSelection } from '../../session/selection.ts';
import { useWorkings } from '../../session/workings.ts';
import ChoiceField from '../../ui/ChoiceField.vue';

import LevelChoice from './LevelChoice.vue';
import PartsList from './PartsList.vue';

/** All parts to pick from, and what is chosen for the whole piece at once. */
const opened = useOpenedPiece();
const workings = useWorkings();
const selection = useSelection();

/** Stands for a piece that is worked in more than one thread. */
const MIXED = 'mixed';
const thread = computed((): ThreadId | typeof MIXED => (workings.kinds.length === 1 ? workings.kinds[0]! : MIXED));
const threads = computed((): { value: ThreadId | typeof MIXED; label: string }[] => [
  ...(thread.value === MIXED ? [{ value: MIXED, label: 'Of several kinds' } as const] : []),
  ...THREAD_KINDS.map(({ id, name }) => ({ value: id, label: name })),
]);
function workIn(id: ThreadId | typeof MIXED): void {
  if (id !== MIXED) opened.edit(workAllIn(opened.piece, workings.current?.plan.parts ?? [], id));
}
</script>

<template>
  <div class="stack">
    <h2>Stitches</h2>
    <p class="soft">
      Every part has a stitch suggested for its size and shape. Pick a part in the hoop or here to see why, and to
      change it; pick several with Shift or Ctrl.
    </p>
    <PickSeveral />
    <PickedBar />
    <ChoiceField
      v-if="selection.picked.length === 0"
      label="Thread for the whole piece"
      :value="thread"
      :options="threads"
      @change="workIn"
    />
    <LevelChoice v-if="selection.picked.length === 0" />
    <PartsList />
  </div>
</template>
