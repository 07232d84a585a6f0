import { newId } from '../keeping/newId.ts';
import { mergeRecords, progressOf, toWorkAgain } from '@junctura/core/log';
import { failure, success, type Outcome } from '@junctura/core/measure';
import type { PieceRecord, RecordEntry, ThreadUse } from '@junctura/core/piece';
import { tryOnScopeDispose, useBroadcastChannel } from '@vueuse/core';
import { defineStore } from 'pinia';
import { computed, markRaw, ref, shallowRef, watch } from 'vue';
import { PieceStore, readableEntries } from '../keeping/pieceStore.ts';
import { Unkept } from '../keeping/unsaved.ts';
import { retryPauseMs, whenPageGoes } from './kept.ts';

function checkRecord(value: unknown): Outcome<PieceRecord> {
  return Array.isArray(value) ? success(readableEntries(value)) : failure('no entries');
}

/** What another tab noted. */
interface News {
  readonly pieceId: string;
  readonly entries: PieceRecord;
}

export type Noted<T> = T extends RecordEntry ? Omit<T, 'id' | 'at'> : never;

/** The record of the open piece: what was noted at the hoop. It is stored entry by entry, and has no part in undo. */
export const useRecord = defineStore('record', () => {
  const store = markRaw(new PieceStore(() => Date.now()));
  const entries = shallowRef<PieceRecord>([]);
  const problem = ref<string | null>(null);
  let pieceId = '';
  /** What is noted and not kept yet, by the piece that it is of. */
  const waiting = new Map<string, PieceRecord>();
  /** Where a page that goes puts what it could not keep. */
  const aside = new Unkept<PieceRecord>('junctura-unsaved-record-', checkRecord);
  let timer: ReturnType<typeof setTimeout> | undefined;
  /** How often in a row keeping was refused. */
  let refusals = 0;
  let isOver = false;
  tryOnScopeDispose(() => {
    isOver = true;
    clearTimeout(timer);
  });
  /** Tabs that are on the same sitting tell each other. */
  const { data: told, post } = useBroadcastChannel<News, News>({ name: 'junctura-record' });
  const progress = computed(() => progressOf(entries.value));

  function take(id: string, record: PieceRecord): void {
    pieceId = id;
    entries.value = markRaw([...record]);
    const left: RecordEntry[] = [];
    for (let unsaved = aside.take(id); unsaved; unsaved = aside.take(id)) {
      left.push(...unsaved.value);
      aside.forget(id);
    }
    void add(left);
  }

  /** Adds entries; each is kept at once, or tried again until it is. */
  async function add(added: PieceRecord): Promise<void> {
    if (added.length === 0) return;
    entries.value = markRaw(mergeRecords(entries.value, added));
    waiting.set(pieceId, [...(waiting.get(pieceId) ?? []), ...added]);
    post({ pieceId, entries: added });
    await keep();
  }

  /** Entries are kept by their ids: it does no harm where one is kept already. */
  function putAside(): void {
    for (const [id, own] of waiting) aside.put(id, { value: own, basedOn: 0 });
  }
  whenPageGoes(putAside, () => refusals > 0 && waiting.size > 0);

  async function keep(): Promise<void> {
    clearTimeout(timer);
    for (const [id, own] of [...waiting]) {
      const kept = await store.addEntries(id, own);
      problem.value = kept.ok ? null : kept.problem;
      if (!kept.ok) {
        clearTimeout(timer);
        if (!isOver) timer = setTimeout(() => void keep(), retryPauseMs(refusals++));
        return;
      }
      refusals = 0;
      // What was noted meanwhile still waits.
      const left = (waiting.get(id) ?? []).filter((entry) => !own.includes(entry));
      if (left.length > 0) waiting.set(id, left);
      else {
        waiting.delete(id);
        aside.forget(id);
      }
    }
  }

  watch(told, (news) => {
    if (news?.pieceId !== pieceId) return;
    entries.value = markRaw(mergeRecords(entries.value, readableEntries(news.entries)));
  });

  /** Records are in the order of their times: of what is noted in one instant each is a little later than what came before. */
  let lastMs = 0;
  function newEntry(): Pick<RecordEntry, 'id' | 'at'> {
    lastMs = Math.max(Date.now(), lastMs + 1);
    return { id: newId(), at: new Date(lastMs).toISOString() };
  }

  /** Notes several entries as one: they are there at once, before anything is kept, and are kept together. */
  function noteAll(noted: readonly Noted<RecordEntry>[]): { readonly ids: string[]; readonly kept: Promise<void> } {
    const added = noted.map((entry) => ({ ...newEntry(), ...entry }) as RecordEntry);
    return { ids: added.map(({ id }) => id), kept: add(added) };
  }

  function note(entry: Noted<RecordEntry>): Promise<void> {
    return noteAll([entry]).kept;
  }

  /** Notes a part as worked, or as still to work: then every entry that says otherwise is voided. */
  function setDone(part: string, isDone: boolean): Promise<void> {
    if (isDone) return note({ type: 'part-done', part });
    return add(toWorkAgain(entries.value, new Set([part]), newEntry));
  }

  function noteUse(use: Omit<ThreadUse, 'id' | 'at' | 'type'>): Promise<void> {
    return note({ type: 'thread-used', ...use });
  }

  function takeBack(...ids: readonly string[]): Promise<void> {
    return noteAll(ids.map((entry) => ({ type: 'voided', entry }))).kept;
  }

  return { entries, progress, problem, take, note, noteAll, setDone, noteUse, takeBack };
});
