import { learnHand, progressOf, trusted, type Learned } from '@junctura/core/log';
import type { ThreadUse } from '@junctura/core/piece';
import { defineStore } from 'pinia';
import { computed, shallowRef, watch } from 'vue';
import { useKeeper } from './keeper.ts';
import { useOpenedPiece } from './openedPiece.ts';
import { useRecord } from './record.ts';
import { useSettings } from './settings.ts';

/** Pieces to try things on are worked by nobody: nothing is learned from them. */
export function isToTry(pieceId: string): boolean {
  return pieceId.startsWith('demo-');
}

/** What the person has noted of thread in all her pieces, and the factors that are learned from it. */
export const useLearning = defineStore('learning', () => {
  const opened = useOpenedPiece();
  const keeper = useKeeper();
  const record = useRecord();
  const settings = useSettings();
  /** Of all pieces but the open one; null: not read yet. */
  const elsewhere = shallowRef<readonly ThreadUse[] | null>(null);

  const uses = computed((): readonly ThreadUse[] => [
    ...(elsewhere.value ?? []),
    ...(isToTry(opened.piece.id) ? [] : record.progress.uses),
  ]);
  const learned = computed((): Learned => learnHand(trusted(uses.value, settings.learnSince)));

  async function gather(): Promise<void> {
    const stored = await keeper.store.allRecords();
    if (!stored.ok) return;
    elsewhere.value = [...stored.value].flatMap(([id, entries]) =>
      id === opened.piece.id || isToTry(id) ? [] : progressOf(entries).uses,
    );
  }

  watch(() => opened.piece.id, gather, { immediate: true });
  watch(learned, ({ thread, handSpread, records }) => {
    // Until all is read, what was learned before stands.
    if (elsewhere.value) settings.setLearned(records > 0 ? thread : {}, handSpread);
  });

  /** From now on only what is noted later counts. */
  function forget(): void {
    settings.learnSince = new Date().toISOString();
  }

  return { uses, learned, forget };
});
