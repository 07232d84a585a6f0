<script setup lang="ts">
import { plural } from '@junctura/core/measure';
import { colourName } from '@junctura/core/piece';
import { stitchKind } from '@junctura/core/stitches';
import { computed } from 'vue';
import { useOpenedPiece } from '../../session/openedPiece.ts';
import { useWorkings } from '../../session/workings.ts';
import { useSelection } from '../../session/selection.ts';
import { useSettings } from '../../session/settings.ts';
import { KIND_WORDS, partSize } from '../../session/partWords.ts';

/** The parts from front to back; those that are worked alike stand together under one heading. */
defineProps<{ detail: 'shape' | 'stitch' }>();

const opened = useOpenedPiece();

const workings = useWorkings();

const selection = useSelection();
const settings = useSettings();

const entries = computed(() =>
  [...(workings.current?.plan.parts ?? [])].reverse().map(({ part, placed, passes }) => ({
    part,
    hex: colourName(opened.piece.palette.find((colour) => colour.id === part.colour)!).hex,
    shape: `${KIND_WORDS[part.kind]} · ${partSize(placed, settings.units)}`,
    stitch:
      passes.length === 0
        ? 'not worked'
        : [...passes]
            .reverse()
            .map((pass) => `${stitchKind(pass.stitch).name}, ${plural(pass.strands, 'strand')}`)
            .join(' over '),
    like: part.group === null ? 0 : opened.piece.drawing.parts.filter((other) => other.group === part.group).length,
    isChosen: part.passes !== null,
  })),
);

function pick(id: string, event: MouseEvent | KeyboardEvent): void {
  const isAdding = event.shiftKey || event.ctrlKey || event.metaKey;
  selection.pick(isAdding ? [...new Set([...selection.picked, id])] : [id]);
}
</script>

<template>
  <ol class="parts">
    <li v-for="entry in entries" :key="entry.part.id">
      <button
        type="button"
        class="plain part"
        :class="{ picked: selection.picked.includes(entry.part.id) }"
        @click="pick(entry.part.id, $event)"
      >
        <span class="swatch" :style="{ background: entry.hex }"></span>
        <span class="words">
          <span class="name">{{ entry.part.name }}</span>
          <span class="small soft">{{ detail === 'shape' ? entry.shape : entry.stitch }}</span>
        </span>
        <span v-if="entry.like > 1" class="small soft like">one of {{ entry.like }} alike</span>
      </button>
    </li>
  </ol>
</template>

<style scoped>
.parts {
  list-style: none;
  margin: 0 -10px;
  padding: 0;
}
li {
  content-visibility: auto;
  contain-intrinsic-height: 48px;
}
.part {
  display: flex;
  align-items: center;
  gap: 10px;
  width: 100%;
  padding: 6px 10px;
  border-radius: 6px;
}
.part:hover,
.part.picked {
  background: var(--linen-deep);
}
.words {
  display: grid;
  flex: 1;
  min-width: 0;
  line-height: 1.3;
}
.name {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.like {
  white-space: nowrap;
}
</style>
