import { learnHand, trusted, type Learned } from '@junctura/core/log';
import { checkPiece, type ThreadUse } from '@junctura/core/piece';
import { defineStore } from 'pinia';
import { computed, shallowRef, watch } from 'vue';
import { useBench } from './bench.ts';
import { useSettings } from './settings.ts';

/** Pieces to try things on are worked by nobody: no hand is learned from them. */
export function isToTry(pieceId: string): boolean {
  return pieceId.startsWith('demo-');
}

/** What the person has noted of thread in all her pieces, and the hand that is learned from it. */
export const useRecords = defineStore('records', () => {
  const bench = useBench();
  const settings = useSettings();
  /** Of all pieces but the open one. */
  const elsewhere = shallowRef<readonly ThreadUse[]>([]);

  const uses = computed((): readonly ThreadUse[] =>
    isToTry(bench.piece.id) ? elsewhere.value : [...elsewhere.value, ...bench.piece.record.uses],
  );
  const learned = computed((): Learned => learnHand(trusted(uses.value, settings.learnSince)));

  async function gather(): Promise<void> {
    const stored = await bench.store.list();
    if (!stored.ok) return;
    elsewhere.value = stored.value.flatMap(({ id, piece }) => {
      if (id === bench.piece.id || isToTry(id)) return [];
      const checked = checkPiece(piece);
      return checked.ok ? checked.value.record.uses : [];
    });
  }

  watch(() => bench.piece.id, gather, { immediate: true });
  watch(learned, ({ thread, handSpread, records }) => {
    settings.own = { ...settings.own, thread: records > 0 ? thread : {}, handSpread };
  });

  /** From now on only what is noted later counts. */
  function forget(): void {
    settings.learnSince = new Date().toISOString();
  }

  return { uses, learned, gather, forget };
});
