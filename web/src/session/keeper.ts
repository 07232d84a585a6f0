import { newId } from '../keeping/newId.ts';
import { mergeRecords } from '@junctura/core/log';
import type { PieceFile } from '@junctura/core/piece';
import { useEventListener } from '@vueuse/core';
import { defineStore } from 'pinia';
import { computed, markRaw, ref, watch } from 'vue';
import { loadDemo } from '../keeping/demos.ts';
import { PieceStore } from '../keeping/pieceStore.ts';
import { forget, putAside, takeUp } from '../keeping/unsaved.ts';
import { finishTyping } from '../ui/typing.ts';
import { useOpenedPiece } from './openedPiece.ts';
import { useRecord } from './record.ts';

/** A save waits for a pause of this, so that typing is not saved letter by letter; in steady work no longer than that, ms. */
const PAUSE_MS = 150;
const LONGEST_WAIT_MS = 800;
/** From this share of the browser's storage on, the person is told. */
const FULL_SHARE = 0.95;

export type SaveState = 'saved' | 'saving' | 'unsaved';

/** What became of opening a piece: another may have been asked for meanwhile. */
export type Opening =
  { readonly type: 'opened' } | { readonly type: 'overtaken' } | { readonly type: 'refused'; readonly problem: string };

/** Keeps the open piece in the browser: opens, saves, sees to it that two tabs do not overwrite each other. */
export const useKeeper = defineStore('keeper', () => {
  const opened = useOpenedPiece();
  const record = useRecord();
  const store = markRaw(new PieceStore(() => Date.now()));
  const storageProblem = ref<string | null>(null);
  const conflict = ref(false);
  const isSaving = ref(false);
  /** The state that is known to be kept. Everything later is still to be saved. */
  let kept = opened.piece;
  const isKept = ref(true);
  let revision = 0;
  let ticket = 0;
  let timer: ReturnType<typeof setTimeout> | undefined;
  let waitingSince = 0;
  let saving: Promise<void> | null = null;

  const saveState = computed<SaveState>(() => (isSaving.value ? 'saving' : isKept.value ? 'saved' : 'unsaved'));

  /** Opens a stored piece, or a demo that was not opened before. */
  async function open(id: string): Promise<Opening> {
    const mine = ++ticket;
    if (opened.piece.id === id) return { type: 'opened' };
    await flush();
    const found = await find(id);
    if (mine !== ticket) return { type: 'overtaken' };
    if ('problem' in found) return { type: 'refused', problem: found.problem };
    // What was changed while the other piece was being read is kept first.
    await flush();
    if (mine !== ticket) return { type: 'overtaken' };
    take(found.file, found.revision);
    await takeUpUnsaved();
    return { type: 'opened' };
  }

  async function find(id: string): Promise<{ file: PieceFile; revision: number } | { problem: string }> {
    const isDemo = id.startsWith('demo-');
    const stored = await store.load(id);
    if (stored.ok && stored.value) return { file: stored.value, revision: stored.value.revision };
    if (!stored.ok) {
      if (!isDemo) return stored;
      storageProblem.value = stored.problem;
    }
    if (!isDemo) return { problem: 'This piece is not on this browser’s bench.' };
    const demo = await loadDemo(id);
    if (!demo.ok) return demo;
    // What was noted at the hoop is kept even where the piece itself was never changed.
    const noted = await store.recordOf(id);
    return { file: { ...demo.value, record: mergeRecords(demo.value.record, noted) }, revision: 0 };
  }

  /** Opens a piece that was read from a file, under an id of its own where that is taken. Answers with its id. */
  async function adopt({ piece, record: entries }: PieceFile): Promise<string> {
    ++ticket;
    await flush();
    const isTaken = await store.load(piece.id);
    const id = isTaken.ok && isTaken.value === null ? piece.id : newId();
    take({ piece: { ...piece, id }, record: entries }, 0);
    isKept.value = false;
    if (entries.length > 0) await store.addEntries(id, entries);
    await save();
    return id;
  }

  function take(file: PieceFile, storedRevision: number): void {
    clearTimeout(timer);
    timer = undefined;
    revision = storedRevision;
    kept = file.piece;
    isKept.value = true;
    conflict.value = false;
    record.take(file.piece.id, file.record);
    opened.take(file.piece);
  }

  /** What could not be saved when the page was closed; where something newer was saved since, it is kept among the earlier states. */
  async function takeUpUnsaved(): Promise<void> {
    const { piece } = opened;
    const unsaved = takeUp(piece.id);
    if (!unsaved) return;
    if (unsaved.basedOn === revision) {
      opened.take(unsaved.piece);
      await save();
    } else {
      await store.keepState(unsaved.piece);
      forget(piece.id);
    }
  }

  function schedule(): void {
    const now = Date.now();
    if (timer === undefined) waitingSince = now;
    clearTimeout(timer);
    const pause = Math.max(0, Math.min(PAUSE_MS, waitingSince + LONGEST_WAIT_MS - now));
    timer = setTimeout(() => void save(), pause);
  }

  /** One save at a time: a second that is asked for meanwhile follows it. */
  async function save(): Promise<void> {
    clearTimeout(timer);
    timer = undefined;
    const before = saving;
    const mine = (async () => {
      await before;
      await saveOnce();
    })();
    saving = mine;
    await mine;
    if (saving === mine) saving = null;
  }

  async function saveOnce(): Promise<void> {
    const { piece } = opened;
    if (piece === kept && isKept.value) return;
    isSaving.value = true;
    const result = await store.save(piece, revision);
    isSaving.value = false;
    // Another piece may have been opened meanwhile: what was answered is not about that.
    if (piece.id !== opened.piece.id) return;
    if (result.type === 'saved') {
      revision = result.revision;
      kept = piece;
      isKept.value = piece === opened.piece;
      forget(piece.id);
      storageProblem.value = await nearlyFull();
    } else if (result.type === 'conflict') conflict.value = true;
    else storageProblem.value = result.problem;
  }

  async function nearlyFull(): Promise<string | null> {
    const share = await store.fullness();
    if (share === null || share < FULL_SHARE) return null;
    return `The browser’s storage is ${Math.round(share * 100)} % full. Export your pieces to files before it refuses to keep more.`;
  }

  /** Saves at once what still waits to be saved. */
  async function flush(): Promise<void> {
    if (timer !== undefined) await save();
    else await saving;
  }

  /** After a conflict: take what the other tab saved, or keep this state as a piece of its own. */
  async function settleConflict(keepMine: boolean): Promise<string> {
    const { piece } = opened;
    if (keepMine) {
      const name = `${piece.name} (this tab)`.slice(0, 300);
      return adopt({ piece: { ...piece, id: newId(), name }, record: record.entries });
    }
    const stored = await store.load(piece.id);
    if (stored.ok && stored.value) take(stored.value, stored.value.revision);
    return piece.id;
  }

  watch(
    () => opened.piece,
    (piece) => {
      if (piece === kept) return;
      isKept.value = false;
      schedule();
    },
    { flush: 'sync' },
  );

  /** The page may not come back: what is being typed is taken, and what is not kept is put aside at once. */
  function leave(): void {
    finishTyping();
    if (isKept.value || conflict.value) return;
    putAside({ piece: opened.piece, basedOn: revision });
    void flush();
  }
  if (typeof window !== 'undefined') {
    useEventListener(window, 'pagehide', leave);
    useEventListener(window.document, 'visibilitychange', () => {
      if (document.visibilityState === 'hidden') leave();
    });
  }

  return { store, storageProblem, conflict, saveState, open, adopt, flush, settleConflict };
});
