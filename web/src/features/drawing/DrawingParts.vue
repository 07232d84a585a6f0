<script setup lang="ts">
import type { PlannedPart } from '@junctura/core/work';
import { movePart, placePart, setLocked, setShown, colourName } from '@junctura/core/piece';
import { Eye, EyeOff, GripVertical, Lock, LockOpen } from '@lucide/vue';
import { computed, ref, watch } from 'vue';
import { VueDraggable } from 'vue-draggable-plus';
import { partPath } from '../../hoop/usePartPaths.ts';
import { KIND_WORDS, partSize } from '../../session/partWords.ts';
import { useOpenedPiece } from '../../session/openedPiece.ts';
import { useWorkings } from '../../session/workings.ts';
import { useSelection } from '../../session/selection.ts';
import { useSettings } from '../../session/settings.ts';

/** The parts from front to back, each with its shape: to be picked, put before or behind others, left out, locked. */
const opened = useOpenedPiece();
const workings = useWorkings();
const selection = useSelection();
const settings = useSettings();

const planned = computed(() => [...(workings.current?.plan.parts ?? [])].reverse());
/** What the list shows while a row is dragged. */
const rows = ref<PlannedPart[]>([]);
watch(planned, (now) => (rows.value = [...now]), { immediate: true });

const hexOf = computed(() => new Map(opened.piece.palette.map((colour) => [colour.id, colourName(colour).hex])));
const groupSizes = computed(() => {
  const sizes = new Map<string, number>();
  for (const { group } of opened.piece.drawing.parts) if (group) sizes.set(group, (sizes.get(group) ?? 0) + 1);
  return sizes;
});
function like(group: string | null): string {
  const size = group === null ? 0 : (groupSizes.value.get(group) ?? 0);
  return size > 1 ? ` · one of ${size} alike` : '';
}
function about({ part, placed }: PlannedPart): string {
  if (!part.shown) return 'left out';
  return `${KIND_WORDS[part.kind]} · ${partSize(placed, settings.units)}${hiddenBehind(placed.behind)}`;
}
/** What hides some of a part, by name: one, or one and how many more. */
function hiddenBehind([first, ...others]: readonly string[]): string {
  if (first === undefined) return '';
  const more = others.length > 0 ? ` and ${others.length} more` : '';
  return ` · partly behind ${opened.nameOf(first) ?? first}${more}`;
}
function boxFor({ placed }: PlannedPart): string {
  const box = placed.box ?? { minX: 0, minY: 0, maxX: 1, maxY: 1 };
  const size = Math.max(box.maxX - box.minX, box.maxY - box.minY, 2) * 1.15;
  return `${(box.minX + box.maxX - size) / 2} ${(box.minY + box.maxY - size) / 2} ${size} ${size}`;
}
function pick(id: string, event: MouseEvent | KeyboardEvent): void {
  const isAdding = event.shiftKey || event.ctrlKey || event.metaKey;
  selection.pick(isAdding ? [...new Set([...selection.picked, id])] : [id]);
}
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
  <VueDraggable v-model="rows" tag="ol" class="parts" handle=".grip" :animation="120" @end="dropped">
    <li v-for="row in rows" :key="row.part.id" :class="{ picked: selection.picked.includes(row.part.id) }">
      <span class="grip" title="Drag to put it before or behind others"><GripVertical :size="16" /></span>
      <button type="button" class="plain part" @click="pick(row.part.id, $event)" @keydown="key($event, row.part.id)">
        <svg :viewBox="boxFor(row)" class="shape" aria-hidden="true">
          <path
            :d="partPath(row.placed)"
            fill-rule="evenodd"
            :fill="row.part.kind === 'line' ? 'none' : hexOf.get(row.part.colour)"
            :stroke="hexOf.get(row.part.colour)"
          />
        </svg>
        <span class="words" :class="{ out: !row.part.shown }">
          <span class="name">{{ row.part.name }}</span>
          <span class="small soft">{{ about(row) }}{{ like(row.part.group) }}</span>
        </span>
      </button>
      <button
        type="button"
        class="plain icon"
        :aria-pressed="!row.part.shown"
        :aria-label="row.part.shown ? `Leave out ${row.part.name}` : `Show ${row.part.name} again`"
        @click="opened.edit(setShown(opened.piece, [row.part.id], !row.part.shown))"
      >
        <component :is="row.part.shown ? Eye : EyeOff" :size="17" />
      </button>
      <button
        type="button"
        class="plain icon"
        :class="{ faint: !row.part.locked }"
        :aria-pressed="row.part.locked"
        :aria-label="row.part.locked ? `Unlock ${row.part.name}` : `Lock ${row.part.name}`"
        @click="opened.edit(setLocked(opened.piece, [row.part.id], !row.part.locked))"
      >
        <component :is="row.part.locked ? Lock : LockOpen" :size="16" />
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
.shape {
  width: 34px;
  height: 34px;
  flex: none;
}
.shape path {
  stroke-width: 1.6px;
  vector-effect: non-scaling-stroke;
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
.icon {
  width: 30px;
  height: 34px;
  display: grid;
  place-items: center;
  color: var(--ink-soft);
}
.faint {
  opacity: 0.35;
}
li:hover .faint,
.faint:focus-visible {
  opacity: 1;
}
</style>
