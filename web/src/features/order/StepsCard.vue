<script setup lang="ts">
import { formatDuration } from '@junctura/core/measure';
import { needleName, stitchOfStep, type NumberedLaying } from '@junctura/core/order';
import LessonLinks from '../../ui/LessonLinks.vue';
import { lessonsOfStep } from '../../ui/lessonNames.ts';
import { freeOrder, workAtEnd } from '@junctura/core/piece';
import { ArrowDown, ArrowUp, GripVertical } from '@lucide/vue';
import { NButton } from 'naive-ui';
import { computed, nextTick, ref, shallowRef, watch } from 'vue';
import { VueDraggable } from 'vue-draggable-plus';
import { useOpenedPiece } from '../../session/openedPiece.ts';
import { useSelection } from '../../session/selection.ts';
import { useWorkings } from '../../session/workings.ts';
import LayingRow from './LayingRow.vue';
import SittingNeeds from './SittingNeeds.vue';
import { useOrderList, type OrderLine, type SittingLines } from './useOrderList.ts';
import * as say from './words.ts';

/** The steps in their sittings: why each stands where it does, and how to move it. */
const opened = useOpenedPiece();
const workings = useWorkings();
const selection = useSelection();
const list = useOrderList();

/** Sittings and steps as one list, so that a step can be dragged from one sitting to another. */
type Row =
  | { readonly type: 'sitting'; readonly key: string; readonly entry: SittingLines }
  | { readonly type: 'laying'; readonly key: string; readonly laying: NumberedLaying }
  | { readonly type: 'line'; readonly key: string; readonly line: OrderLine };
/** With more lines than this only the sitting that is open shows its steps. */
const MOST_SHOWN = 250;
const isLong = computed(() => list.sittings.value.reduce((sum, { lines }) => sum + lines.length, 0) > MOST_SHOWN);
const openKey = ref<string | null>(null);
const openSitting = ref<number | null>(null);
const rowsNow = computed(() =>
  list.sittings.value.flatMap((entry): Row[] => {
    const isShown = !isLong.value || openSitting.value === entry.sitting.number;
    return [
      { type: 'sitting', key: `sitting-${entry.sitting.number}`, entry },
      ...(isShown ? entry.lines.flatMap(rowsOf) : []),
    ];
  }),
);
function rowsOf(line: OrderLine): Row[] {
  return [
    ...line.lays.map((laying): Row => ({ type: 'laying', key: `laying-${laying.part}`, laying })),
    { type: 'line', key: line.key, line },
  ];
}
const rows = shallowRef<Row[]>([]);
watch(rowsNow, (now) => (rows.value = now), { immediate: true });

function open(line: OrderLine): void {
  openKey.value = openKey.value === line.key ? null : line.key;
  if (openKey.value === null) return;
  selection.pick([line.first.part]);
  selection.place = line.from;
}
function show(entry: SittingLines): void {
  const { number, steps } = entry.sitting;
  openSitting.value = openSitting.value === number ? null : number;
  const last = steps.at(-1)!;
  selection.place = last.step + last.to;
}

/** A part that is pressed in the hoop opens its first step. */
watch(
  () => selection.picked[0],
  (part) => {
    const sitting = list.sittings.value.find(({ lines }) => lines.some(({ first }) => first.part === part));
    if (isLong.value && sitting) openSitting.value = sitting.sitting.number;
    const line = rowsNow.value.find((row) => row.type === 'line' && row.line.first.part === part);
    const isOpen = rows.value.some(
      (row) => row.key === openKey.value && row.type === 'line' && row.line.first.part === part,
    );
    if (line && !isOpen) {
      openKey.value = line.key;
      void nextTick(() =>
        document.querySelector(`[data-step="${CSS.escape(line.key)}"]`)?.scrollIntoView({ block: 'nearest' }),
      );
    }
  },
);

function dropped({ oldIndex, newIndex }: { oldIndex?: number | undefined; newIndex?: number | undefined }): void {
  const moved = oldIndex === undefined ? undefined : rowsNow.value[oldIndex];
  const others = rowsNow.value.filter((row) => row !== moved);
  // Whatever the list made of it: the order that follows says where it stands.
  rows.value = [...rowsNow.value];
  if (moved?.type !== 'line' || newIndex === undefined || newIndex === oldIndex) return;
  const after = others.slice(newIndex).find((row) => row.type === 'line');
  list.move(moved.line, after?.type === 'line' ? after.line.from : list.order.value.length);
}
function key(event: KeyboardEvent, line: OrderLine): void {
  if (!event.altKey) return;
  if (event.key === 'ArrowUp') move(line, -1);
  else if (event.key === 'ArrowDown') move(line, 1);
  else return;
  event.preventDefault();
  event.stopPropagation();
}
/** A line up or down: past the line before it, or the one after it. */
function move(line: OrderLine, by: 1 | -1): void {
  const lines = rows.value.flatMap((row) => (row.type === 'line' ? [row.line] : []));
  const other = lines[lines.findIndex(({ key: own }) => own === line.key) + by];
  if (other) list.move(line, by < 0 ? other.from : other.to);
  openKey.value = line.key;
}

const isFixed = (part: string): boolean => {
  const { pairs, first, last } = opened.piece.order;
  return (
    first.includes(part) ||
    last.includes(part) ||
    pairs.some((pair) => pair.before.part === part || pair.after.part === part)
  );
};
const hasFixed = computed(() => {
  const { pairs, first, last } = opened.piece.order;
  return pairs.length + first.length + last.length > 0;
});
const endOf = (part: string): 'first' | 'last' | null =>
  opened.piece.order.first.includes(part) ? 'first' : opened.piece.order.last.includes(part) ? 'last' : null;
function threadWords(step: number): string {
  const own = workings.current!.plan.work[step];
  if (!own) return '';
  if (own.isParked) return 'Pick up the parked needle.';
  if (own.rethreadings > 0) return 'Rethread the rest of the length.';
  return own.loads > 0 ? say.lengthsStarted(own.loads) : 'Carries on with the thread in the needle.';
}
</script>

<template>
  <div class="steps">
    <p v-if="list.said.value" class="said" role="status">
      {{ list.said.value }}
      <button type="button" class="plain link" @click="opened.undo">Undo</button>
    </p>
    <VueDraggable v-model="rows" tag="ol" handle=".grip" draggable=".line" :animation="120" class="rows" @end="dropped">
      <li v-for="row in rows" :key="row.key" :class="row.type" :data-step="row.type === 'line' ? row.key : undefined">
        <template v-if="row.type === 'sitting'">
          <button
            type="button"
            class="plain sitting-head"
            :aria-expanded="openSitting === row.entry.sitting.number"
            :data-test="`sitting-${row.entry.sitting.number}`"
            @click="show(row.entry)"
          >
            <strong>{{ say.sittingN(row.entry.sitting.number) }}</strong>
            <span class="figure small">{{ formatDuration(row.entry.sitting.seconds / 3600) }}</span>
          </button>
          <p v-if="row.entry.carriesOn !== null" class="small soft">{{ say.carriesOn(row.entry.carriesOn) }}</p>
          <SittingNeeds v-if="openSitting === row.entry.sitting.number" :sitting="row.entry.sitting" />
        </template>
        <LayingRow v-else-if="row.type === 'laying'" :laying="row.laying" />
        <template v-else>
          <div class="head">
            <span class="grip" title="Drag to another place" aria-hidden="true"><GripVertical :size="15" /></span>
            <button
              type="button"
              class="plain name"
              :aria-expanded="openKey === row.key"
              @click="open(row.line)"
              @keydown="key($event, row.line)"
            >
              <span class="figure number">{{ row.line.number }}</span>
              <i class="swatch" :style="{ background: list.hexOf(row.line.first) }"></i>
              <span class="what">
                <span class="title" :title="row.line.name">{{ row.line.name }}</span>
                <span class="small soft">{{
                  say.stitchInColour(
                    stitchOfStep(row.line.first).name,
                    list.colourOf(row.line.first),
                    row.line.first.strands,
                  )
                }}</span>
              </span>
              <span class="figure small minutes">{{ formatDuration(row.line.seconds / 3600) }}</span>
            </button>
          </div>
          <div v-if="openKey === row.key" class="body">
            <p class="small">
              {{
                say.howThreaded({
                  colour: list.colourOf(row.line.first),
                  needle: needleName(row.line.first.needle),
                  position: opened.piece.positions.length > 1 ? row.line.first.position + 1 : null,
                  thread: threadWords(row.line.from),
                })
              }}
            </p>
            <ul class="small because" data-test="because">
              <li v-for="reason in list.because(row.line.from)" :key="reason.text">{{ reason.text }}</li>
              <li v-if="list.because(row.line.from).length === 0">
                No rule fixes it here: this place needs the least threading and the shortest way.
              </li>
            </ul>
            <ul v-if="list.unmet(row.line.first.part).length > 0" class="small because unmet" data-test="unmet">
              <li v-for="text in list.unmet(row.line.first.part)" :key="text">{{ text }}</li>
            </ul>
            <p class="small soft">See the drawings: <LessonLinks :lessons="lessonsOfStep(row.line.first)" /></p>
            <div class="row tight">
              <NButton size="tiny" aria-label="Earlier" :disabled="row.line.from === 0" @click="move(row.line, -1)"
                ><ArrowUp :size="14"
              /></NButton>
              <NButton
                size="tiny"
                aria-label="Later"
                :disabled="row.line.to === list.order.value.length"
                @click="move(row.line, 1)"
                ><ArrowDown :size="14"
              /></NButton>
              <NButton
                size="tiny"
                :type="endOf(row.line.first.part) === 'first' ? 'primary' : 'default'"
                @click="
                  opened.edit(
                    workAtEnd(
                      opened.piece,
                      [row.line.first.part],
                      endOf(row.line.first.part) === 'first' ? null : 'first',
                    ),
                  )
                "
                >Work it first</NButton
              >
              <NButton
                size="tiny"
                :type="endOf(row.line.first.part) === 'last' ? 'primary' : 'default'"
                @click="
                  opened.edit(
                    workAtEnd(
                      opened.piece,
                      [row.line.first.part],
                      endOf(row.line.first.part) === 'last' ? null : 'last',
                    ),
                  )
                "
                >Leave it for last</NButton
              >
              <NButton
                v-if="isFixed(row.line.first.part)"
                size="tiny"
                @click="opened.edit(freeOrder(opened.piece, row.line.first.part))"
                >Unfix it</NButton
              >
            </div>
          </div>
        </template>
      </li>
    </VueDraggable>
    <p class="small soft">
      Drag a step by its dots, or press Alt and an arrow on it. What you fix stays fixed; everything else is arranged
      round it.
    </p>
    <div v-if="hasFixed">
      <NButton size="small" @click="opened.edit(freeOrder(opened.piece))">Unfix everything</NButton>
    </div>
  </div>
</template>

<style scoped>
.steps {
  display: grid;
  gap: 10px;
}
.said {
  position: sticky;
  top: -20px;
  z-index: 2;
  padding: 6px 10px;
  background: var(--weld-ground);
  border-radius: 5px;
  font-size: 14px;
}
.rows {
  list-style: none;
  margin: 0 -8px;
  padding: 0;
}
.sitting {
  padding: 10px 8px 2px;
}
.sitting-head {
  display: flex;
  width: 100%;
  justify-content: space-between;
  align-items: baseline;
  border-bottom: 1px solid var(--chalk);
  padding-bottom: 3px;
}
.sitting-head:hover {
  border-bottom-color: var(--madder);
}
.sitting-head strong {
  font-family: var(--serif);
  font-size: 16px;
}
.head {
  display: flex;
  align-items: center;
  border-radius: 5px;
}
.head:hover {
  background: var(--linen-deep);
}
.grip {
  display: grid;
  place-items: center;
  width: 22px;
  min-height: 30px;
  color: var(--ink-faint);
  cursor: grab;
  touch-action: none;
}
.name {
  flex: 1;
  min-width: 0;
  display: flex;
  gap: 8px;
  align-items: center;
  padding: 3px 8px 3px 0;
}
.number {
  min-width: 20px;
  text-align: right;
  font-size: 13px;
  color: var(--ink-soft);
}
.swatch {
  width: 14px;
  height: 14px;
}
.what {
  flex: 1;
  min-width: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 0 8px;
  align-items: baseline;
}
.title {
  overflow: hidden;
  text-overflow: ellipsis;
}
.minutes {
  white-space: nowrap;
}
.body {
  display: grid;
  gap: 6px;
  margin: 2px 8px 8px 30px;
  padding-left: 10px;
  border-left: 2px solid var(--chalk);
}
.because {
  margin: 0;
  padding-left: 16px;
}
.unmet {
  padding: 5px 8px 5px 24px;
  background: var(--weld-ground);
  border-radius: 5px;
}
.tight {
  gap: 5px;
}
</style>
