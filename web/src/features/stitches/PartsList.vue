<script setup lang="ts">
import { shownColour, type Marking } from '@junctura/core/piece';
import { stitchKind } from '@junctura/core/stitches';
import type { PlannedPart } from '@junctura/core/work';
import { computed } from 'vue';
import PartShape from '../../hoop/PartShape.vue';
import { useOpenedPiece } from '../../session/openedPiece.ts';
import { usePickInList } from '../../session/pickInList.ts';
import { useSelection } from '../../session/selection.ts';
import { useWorkings } from '../../session/workings.ts';
import * as say from './words.ts';
import { stitchAndStrands } from '../../session/words.ts';

/** The parts from front to back, each with its shape, its name and what it is worked in. */
const opened = useOpenedPiece();
const workings = useWorkings();
const selection = useSelection();

const MARKED_WORDS: Readonly<Record<Marking, string>> = {
  guide: 'only marked',
  cut: 'cutting line',
  sew: 'sewing line',
  fold: 'folding line',
};

function workedIn({ part, passes }: PlannedPart): string {
  if (part.marking) return MARKED_WORDS[part.marking];
  if (passes.length === 0) return 'not stitched';
  const layers = [...passes].reverse();
  return layers.map((pass) => stitchAndStrands(stitchKind(pass.stitch).name, pass.strands)).join(' · ');
}

const entries = computed(() =>
  [...(workings.current?.plan.parts ?? [])].reverse().map((planned) => {
    const { part } = planned;
    return {
      planned,
      part,
      hex: shownColour(workings.piece, part.colour).hex,
      stitch: workedIn(planned),
      like: part.group === null ? 0 : opened.piece.drawing.parts.filter((other) => other.group === part.group).length,
    };
  }),
);
const { pick, pickAll } = usePickInList(() => entries.value.map(({ part }) => part.id));
</script>

<template>
  <ol class="parts" @keydown.ctrl.a.prevent="pickAll" @keydown.meta.a.prevent="pickAll">
    <li v-for="entry in entries" :key="entry.part.id">
      <button
        type="button"
        class="plain part"
        :class="{ picked: selection.picked.includes(entry.part.id) }"
        :aria-pressed="selection.picked.includes(entry.part.id)"
        @click="pick(entry.part.id, $event)"
      >
        <PartShape :planned="entry.planned" :hex="entry.hex" />
        <span class="words">
          <span class="name" :title="entry.part.name">{{ entry.part.name }}</span>
          <span class="small soft">{{ entry.stitch }}</span>
        </span>
        <span v-if="entry.like > 1" class="small soft like">{{ say.oneInGroup(entry.like) }}</span>
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
