<script setup lang="ts">
import { likeInOtherColours } from '@junctura/core/drawing';
import { groupMembers, setDiffers } from '@junctura/core/piece';
import type { PlannedPart } from '@junctura/core/work';
import { NButton, NCheckbox } from 'naive-ui';
import { computed } from 'vue';
import { useOpenedPiece } from '../../session/openedPiece.ts';
import { useSelection } from '../../session/selection.ts';
import * as say from './words.ts';

/** What is like the parts that are picked: their groups, and parts of their shapes in other colours. */
const props = defineProps<{ picked: readonly PlannedPart[] }>();
/** Whether a choice is for all that are alike. */
const forAll = defineModel<boolean>('forAll', { required: true });

const opened = useOpenedPiece();
const selection = useSelection();

const first = computed(() => props.picked[0]!.part);
const isOne = computed(() => props.picked.length === 1);
/** How many parts there are with the groups of all that are picked. */
const groupSize = computed(
  () => new Set(props.picked.flatMap(({ part }) => groupMembers(opened.piece, part).map(({ id }) => id))).size,
);
/** What such sets share is set once for all of them. */
const likeOnes = computed(() => {
  const { parts } = opened.piece.drawing;
  return parts.length > MOST_COMPARED
    ? []
    : likeInOtherColours(
        parts,
        props.picked.map(({ part }) => part),
      );
});
/** Of more parts than this no like ones are looked for. */
const MOST_COMPARED = 500;

function setDiffering(differs: boolean): void {
  opened.edit(setDiffers(opened.piece, selection.picked, differs));
}
function pickLikeOnes(): void {
  selection.pick([...selection.picked, ...likeOnes.value.map(({ id }) => id)]);
}
</script>

<template>
  <NCheckbox v-if="groupSize > picked.length" v-model:checked="forAll" data-test="for-all">{{
    forAll ? say.allInGroup(groupSize) : say.onlyThisOfGroup(picked.length, groupSize)
  }}</NCheckbox>
  <button
    v-if="likeOnes.length > 0"
    type="button"
    class="plain link small like"
    data-test="like-ones"
    @click="pickLikeOnes"
  >
    {{ say.selectLikeOnes(likeOnes.length) }}
  </button>
  <div v-if="isOne && first.group !== null" class="row small">
    <span v-if="first.differs">You chose something different for this one of the group.</span>
    <NButton size="tiny" data-test="differs" @click="setDiffering(!first.differs)">{{
      first.differs ? 'Match the group again' : 'Make this one different'
    }}</NButton>
  </div>
</template>

<style scoped>
.like {
  justify-self: start;
}
</style>
