import { newId } from '../keeping/newId.ts';
import { mergeRecords, notedAfter, progressOf, toWorkAgain } from '@junctura/core/log';
import { failure, success, type Outcome } from '@junctura/core/measure';
import type { PieceRecord, RecordEntry, ThreadUse } from '@junctura/core/piece';
import { tryOnScopeDispose, useBroadcastChannel } from '@vueuse/core';
import { defineStore } from 'pinia';
import { computed, markRaw, ref, shallowRef, watch } from 'vue';
import { AsideStore } from '../keeping/asideStore.ts';
import { PieceStore, readableEntries } from '../keeping/pieceStore.ts';
import { Unkept } from '../keeping/unsaved.ts';
import { retryPauseMs, whenPageComes, whenPageGoes } from './kept.ts';

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
  const aside = new Unkept<PieceRecord>('junctura-unsaved-record-', checkRecord, new AsideStore());
  /** How many entries could not be kept yet: said wherever the piece is looked at. */
  const unkept = ref(0);
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
    entries.value = markRaw(mergeRecords(record, waiting.get(id) ?? []));
    void takeUp(id);
  }

  /** What another page could not keep before it went. */
  async function takeUp(id: string): Promise<void> {
    takeUpNow(id);
    await aside.bring(id);
    if (pieceId === id) takeUpNow(id);
  }

  function takeUpNow(id: string): void {
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
  whenPageGoes(putAside, () => unkept.value > 0);

  /** Where the storage was cleared under the open page, what it shows is kept again. */
  async function keepAgain(): Promise<void> {
    const id = pieceId;
    const stored = await store.storedEntries(id);
    if (!stored.ok || pieceId !== id || waiting.has(id)) return;
    const gone = entries.value.filter((entry) => !stored.value.has(entry.id));
    // Of a piece that was removed nothing is written: the person is asked about that.
    const isThere = await store.revisionOf(id);
    if (gone.length === 0 || !isThere.ok || isThere.value === 0 || pieceId !== id) return;
    waiting.set(id, gone);
    await keep();
  }
  whenPageComes(() => void keepAgain());

  /** Keeps what still waits to be. */
  async function keep(): Promise<void> {
    clearTimeout(timer);
    for (const [id, own] of [...waiting]) {
      const kept = await store.addEntries(id, own);
      problem.value = kept.ok ? null : kept.problem;
      if (!kept.ok) {
        clearTimeout(timer);
        unkept.value = [...waiting.values()].reduce((sum, { length }) => sum + length, 0);
        putAside();
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
    unkept.value = 0;
  }

  watch(told, (news) => {
    if (news?.pieceId !== pieceId) return;
    entries.value = markRaw(mergeRecords(entries.value, readableEntries(news.entries)));
  });

  /** What is noted next follows all that is known here, and each other. */
  function entriesToCome(): () => Pick<RecordEntry, 'id' | 'at' | 'order'> {
    const nowMs = Date.now();
    let last: Pick<RecordEntry, 'at' | 'order'> | undefined = entries.value.at(-1);
    return () => {
      last = notedAfter(last, nowMs);
      return { id: newId(), ...last };
    };
  }

  /** Notes several entries as one: they are there at once, before anything is kept, and are kept together. */
  function noteAll(noted: readonly Noted<RecordEntry>[]): { readonly ids: string[]; readonly kept: Promise<void> } {
    const newEntry = entriesToCome();
    const added = noted.map((entry) => ({ ...newEntry(), ...entry }) as RecordEntry);
    return { ids: added.map(({ id }) => id), kept: add(added) };
  }

  function note(entry: Noted<RecordEntry>): Promise<void> {
    return noteAll([entry]).kept;
  }

  /** Notes a part as worked, or as still to work: then every entry that says otherwise is voided. */
  function setDone(part: string, isDone: boolean): Promise<void> {
    if (isDone) return note({ type: 'part-done', part });
    return add(toWorkAgain(entries.value, new Set([part]), entriesToCome()));
  }

  function noteUse(use: Omit<ThreadUse, 'id' | 'at' | 'type'>): Promise<void> {
    return note({ type: 'thread-used', ...use });
  }

  function takeBack(...ids: readonly string[]): Promise<void> {
    return noteAll(ids.map((entry) => ({ type: 'voided', entry }))).kept;
  }

  return { entries, progress, problem, unkept, keep, take, note, noteAll, setDone, noteUse, takeBack };
});
