import { newId } from '../keeping/newId.ts';
import { mergeRecords, progressOf, toWorkAgain } from '@junctura/core/log';
import type { PieceRecord, RecordEntry, ThreadUse } from '@junctura/core/piece';
import { defineStore } from 'pinia';
import { computed, markRaw, ref, shallowRef } from 'vue';
import { PieceStore } from '../keeping/pieceStore.ts';

export type Noted<T> = T extends RecordEntry ? Omit<T, 'id' | 'at'> : never;

/** The record of the open piece: what was noted at the hoop. It is stored entry by entry, and has no part in undo. */
export const useRecord = defineStore('record', () => {
  const store = markRaw(new PieceStore(() => Date.now()));
  const entries = shallowRef<PieceRecord>([]);
  const problem = ref<string | null>(null);
  let pieceId = '';
  const progress = computed(() => progressOf(entries.value));

  function take(id: string, record: PieceRecord): void {
    pieceId = id;
    entries.value = markRaw([...record]);
  }

  /** Adds entries; each is kept at once. */
  async function add(added: PieceRecord): Promise<void> {
    if (added.length === 0) return;
    entries.value = markRaw(mergeRecords(entries.value, added));
    const kept = await store.addEntries(pieceId, added);
    problem.value = kept.ok ? null : kept.problem;
  }

  function newEntry(): Pick<RecordEntry, 'id' | 'at'> {
    return { id: newId(), at: new Date().toISOString() };
  }

  function note(entry: Noted<RecordEntry>): Promise<void> {
    return add([{ ...newEntry(), ...entry } as RecordEntry]);
  }

  /** Notes a part as worked, or as still to work: then every entry that says otherwise is voided. */
  function setDone(part: string, isDone: boolean): Promise<void> {
    if (isDone) return note({ type: 'part-done', part });
    return add(toWorkAgain(entries.value, new Set([part]), newEntry));
  }

  function noteUse(use: Omit<ThreadUse, 'id' | 'at' | 'type'>): Promise<void> {
    return note({ type: 'thread-used', ...use });
  }

  function takeBack(entry: string): Promise<void> {
    return note({ type: 'voided', entry });
  }

  return { entries, progress, problem, take, note, setDone, noteUse, takeBack };
});
