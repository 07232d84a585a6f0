<script setup lang="ts">
import type { PlannedPart } from '@junctura/core/work';
import { movePart, placePart, shownColour } from '@junctura/core/piece';
import { GripVertical } from '@lucide/vue';
import { computed, ref, watch } from 'vue';
import { VueDraggable } from 'vue-draggable-plus';
import PartShape from '../../hoop/PartShape.vue';
import { usePickInList } from '../../session/pickInList.ts';
import { KIND_WORDS, partSize } from '../../session/words.ts';
import { useOpenedPiece } from '../../session/openedPiece.ts';
import { useWorkings } from '../../session/workings.ts';
import { useSelection } from '../../session/selection.ts';
import { useSettings } from '../../session/settings.ts';
import * as say from './words.ts';

/** The parts from front to back, each with its shape: to be picked, and put before or behind others. */
const opened = useOpenedPiece();
const workings = useWorkings();
const selection = useSelection();
const settings = useSettings();

const planned = computed(() => [...(workings.current?.plan.parts ?? [])].reverse());
/** What the list shows while a row is dragged. */
const rows = ref<PlannedPart[]>([]);
watch(planned, (now) => (rows.value = [...now]), { immediate: true });

const groupSizes = computed(() => {
  const sizes = new Map<string, number>();
  for (const { group } of opened.piece.drawing.parts) if (group) sizes.set(group, (sizes.get(group) ?? 0) + 1);
  return sizes;
});
function like(group: string | null): string {
  const size = group === null ? 0 : (groupSizes.value.get(group) ?? 0);
  return size > 1 ? say.oneOfGroup(size) : '';
}
function about({ part, placed }: PlannedPart): string {
  if (!part.shown) return 'left out';
  const locked = part.locked ? ' · locked' : '';
  return `${KIND_WORDS[part.kind]} · ${partSize(placed, settings.units)}${hiddenBehind(placed.behind)}${locked}`;
}
/** What hides some of a part, by name: one, or one and how many more. */
function hiddenBehind([first, ...others]: readonly string[]): string {
  if (first === undefined) return '';
  return say.partlyBehind(opened.nameOf(first), others.length);
}
const { pick, pickAll } = usePickInList(() => rows.value.map(({ part }) => part.id));
function dropped({ oldIndex, newIndex }: { oldIndex?: number | undefined; newIndex?: number | undefined }): void {
  const moved = oldIndex === undefined ? undefined : planned.value[oldIndex];
  if (!moved || newIndex === undefined) return;
  opened.edit(placePart(opened.piece, moved.part.id, rows.value.length - 1 - newIndex));
}
function key(event: KeyboardEvent, id: string): void {
  const towards = event.key === 'ArrowUp' ? 'front' : event.key === 'ArrowDown' ? 'back' : null;
  if (!event.altKey || !towards) return;
  event.preventDefault();
  opened.edit(movePart(opened.piece, id, towards));
}
</script>

<template>
  <VueDraggable
    v-model="rows"
    tag="ol"
    class="parts"
    handle=".grip"
    :animation="120"
    @end="dropped"
    @keydown.ctrl.a.prevent="pickAll"
    @keydown.meta.a.prevent="pickAll"
  >
    <li v-for="row in rows" :key="row.part.id" :class="{ picked: selection.picked.includes(row.part.id) }">
      <span class="grip" title="Drag to put it in front of or behind others"><GripVertical :size="16" /></span>
      <button
        type="button"
        class="plain part"
        :aria-pressed="selection.picked.includes(row.part.id)"
        @click="pick(row.part.id, $event)"
        @keydown="key($event, row.part.id)"
      >
        <PartShape :planned="row" :hex="shownColour(workings.piece, row.part.colour).hex" />
        <span class="words" :class="{ out: !row.part.shown }">
          <span class="name" :title="row.part.name">{{ row.part.name }}</span>
          <span class="small soft">{{ about(row) }}{{ like(row.part.group) }}</span>
        </span>
      </button>
    </li>
  </VueDraggable>
</template>

<style scoped>
.parts {
  list-style: none;
  margin: 0 -12px;
  padding: 0;
}
li {
  display: flex;
  align-items: center;
  gap: 2px;
  border-radius: 6px;
  content-visibility: auto;
  contain-intrinsic-height: 48px;
}
li:hover,
li.picked {
  background: var(--linen-deep);
}
.grip {
  display: grid;
  place-items: center;
  width: 24px;
  height: 36px;
  color: var(--ink-soft);
  opacity: 0.5;
  cursor: grab;
}
.part {
  display: flex;
  align-items: center;
  gap: 10px;
  flex: 1;
  min-width: 0;
  padding: 5px 2px;
}
.words {
  display: grid;
  flex: 1;
  min-width: 0;
  line-height: 1.3;
}
.out {
  opacity: 0.55;
}
.name,
.words .small {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
</style>
