<script setup lang="ts">
import { tidyEdit, type Tidied, type TidyRule } from '@junctura/core/drawing';
import type { Piece } from '@junctura/core/piece';
import { NButton, NCheckbox } from 'naive-ui';
import { computed, ref, shallowRef, watch } from 'vue';
import { useOpenedPiece } from '../../session/openedPiece.ts';
import { useTidying } from '../../session/tidying.ts';
import { useWorkings } from '../../session/workings.ts';
import type { JobOutput } from '../../workers/jobs.ts';
import * as say from './words.ts';

/** What was tidied of a drawing when it came in, or can be: in one line, and each rule by itself. */
const opened = useOpenedPiece();
const workings = useWorkings();
const tidying = useTidying();
/** What the rules found in the drawing as it was drawn; null: not yet known. */
const found = shallowRef<readonly Tidied[] | null>(null);
const isOpen = ref(false);

/** The drawing as it was drawn, where what tidying left of it has not been changed since; else as it is now. */
const base = computed((): Piece => {
  const { last } = tidying;
  const { palette, drawing } = opened.piece;
  const isAsLeft = last?.asDrawn.id === opened.piece.id && last.parts === drawing.parts && last.palette === palette;
  return isAsLeft ? { ...opened.piece, palette: last.asDrawn.palette, drawing: last.asDrawn.drawing } : opened.piece;
});
const isTidied = computed(() => base.value !== opened.piece);
const done = computed(() => (found.value ?? []).filter(({ isDone }) => isDone));

async function ask(wishes: Wishes): Promise<JobOutput<'tidy'> | null> {
  const answer = await workings.planner.ask('tidy', { piece: base.value, ...wishes }, { key: 'tidy' });
  return answer?.ok ? answer.value : null;
}
interface Wishes {
  readonly except: readonly TidyRule[];
  readonly also: readonly TidyRule[];
}
const AS_USUAL: Wishes = { except: [], also: [] };

/** Tidies the drawing as it was drawn by some rules: one edit, however often one changes one's mind. */
async function tidy(wishes: Wishes): Promise<void> {
  const [{ id }, asDrawn] = [opened.piece, base.value];
  const answer = await ask(wishes);
  if (!answer || opened.piece.id !== id) return;
  found.value = answer.tidied;
  const edit = tidyEdit(opened.piece, answer);
  opened.edit(edit && { ...edit, mergeKey: `tidy ${id}` });
  tidying.last = { asDrawn, parts: opened.piece.drawing.parts, palette: opened.piece.palette };
}

watch(
  () => opened.piece.id,
  async (id) => {
    found.value = null;
    if (tidying.isDue(id)) return tidy(AS_USUAL);
    const answer = await ask(AS_USUAL);
    if (answer && opened.piece.id === id) found.value = isTidied.value ? answer.tidied : offered(answer.tidied);
  },
  { immediate: true },
);
/** What was found and not yet done. */
const offered = (tidied: readonly Tidied[]): readonly Tidied[] => tidied.map((one) => ({ ...one, isDone: false }));
watch(isTidied, (is) => {
  if (!is) found.value = found.value && offered(found.value);
});

function choose(rule: TidyRule, isWanted: boolean): void {
  const rules = (found.value ?? []).map((one) => ({
    rule: one.rule,
    isDone: one.rule === rule ? isWanted : one.isDone,
  }));
  void tidy({
    except: rules.filter(({ isDone }) => !isDone).map((one) => one.rule),
    also: rules.filter(({ isDone }) => isDone).map((one) => one.rule),
  });
}
</script>

<template>
  <section v-if="found && found.length > 0" class="tidy" aria-label="Tidying" data-test="tidy">
    <p>{{ isTidied && done.length > 0 ? say.tidied(done) : say.canBeTidied(found) }}</p>
    <div class="row">
      <NButton v-if="!isTidied" size="small" data-test="tidy-now" @click="tidy(AS_USUAL)">Tidy the drawing</NButton>
      <NButton size="small" quaternary :aria-expanded="isOpen" @click="isOpen = !isOpen">{{
        isOpen ? 'Hide the list' : 'See each'
      }}</NButton>
    </div>
    <ul v-if="isOpen">
      <li v-for="one in found" :key="one.rule">
        <NCheckbox :checked="one.isDone" @update:checked="(is) => choose(one.rule, is)">{{
          say.tidyRule(one)
        }}</NCheckbox>
        <p class="small soft">{{ say.partsFound(one.parts) }}</p>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.tidy {
  padding: 10px 12px;
  background: var(--linen);
  border-radius: 6px;
  display: grid;
  gap: 8px;
}
.tidy p {
  margin: 0;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 8px;
}
</style>
