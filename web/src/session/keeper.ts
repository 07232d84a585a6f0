import { newId } from '../keeping/newId.ts';
import { mergeRecords } from '@junctura/core/log';
import { shortened } from '@junctura/core/measure';
import { checkPiece, emptyPiece, MOST_NAME, type PieceFile } from '@junctura/core/piece';
import { useEventListener } from '@vueuse/core';
import { defineStore } from 'pinia';
import { computed, markRaw, ref, shallowRef, watch } from 'vue';
import { loadDemo } from '../keeping/demos.ts';
import { fullness } from '../keeping/database.ts';
import { PieceStore, textOf } from '../keeping/pieceStore.ts';
import { Unkept } from '../keeping/unsaved.ts';
import { finishTyping } from '../ui/typing.ts';
import { NONE, useOpenedPiece } from './openedPiece.ts';
import { useRecord } from './record.ts';
import * as say from './words.ts';

/** A save waits for a pause of this, so that typing is not saved letter by letter; in steady work no longer than that, ms. */
const PAUSE_MS = 150;
const LONGEST_WAIT_MS = 800;
/** A refused save is tried again after this, then after twice as long, and so on up to the longest, ms. */
const FIRST_RETRY_MS = 1000;
const LONGEST_RETRY_MS = 30_000;
/** From this share of the browser's storage on, the person is told. */
const FULL_SHARE = 0.95;

export type SaveState = 'saved' | 'saving' | 'unsaved';

const THIS_TAB = ' (this tab)';

/** What stands against keeping a piece: another tab changed it, or took it off the bench. */
export type Conflict = 'changed' | 'removed';

/** What became of opening a piece: another may have been asked for meanwhile. */
export type Opening =
  { readonly type: 'opened' } | { readonly type: 'overtaken' } | { readonly type: 'refused'; readonly problem: string };

/** What became of a piece that was brought: a new one here, put together with the one here, or that with another drawing kept beside it. */
export interface Adopted {
  readonly id: string;
  readonly became: 'new' | 'merged' | 'beside';
}

/** Keeps the open piece in the browser: opens, saves, sees to it that two tabs do not overwrite each other. */
export const useKeeper = defineStore('keeper', () => {
  const opened = useOpenedPiece();
  const record = useRecord();
  const store = markRaw(new PieceStore(() => Date.now()));
  const unkept = markRaw(new Unkept('junctura-unsaved-', checkPiece));
  const storageProblem = ref<string | null>(null);
  const conflict = ref<Conflict | null>(null);
  const isSaving = ref(false);
  /** The state that is known to be kept. Everything later is still to be saved. */
  let kept = opened.piece;
  const isKept = ref(true);
  let revision = 0;
  let ticket = 0;
  let timer: ReturnType<typeof setTimeout> | undefined;
  let waitingSince = 0;
  let saving: Promise<void> | null = null;
  /** How often in a row the save was refused. */
  let refusals = 0;
  /** Asked where the piece is to be left and is not kept: whether it may be. */
  const asked = shallowRef<{ answer: (mayGo: boolean) => void } | null>(null);

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
    if (!isDemo) return { problem: 'This piece is not on the bench in this browser.' };
    const demo = await loadDemo(id);
    if (!demo.ok) return demo;
    // What was noted at the hoop is kept even where the piece itself was never changed.
    const noted = await store.recordOf(id);
    return { file: { ...demo.value, record: mergeRecords(demo.value.record, noted) }, revision: 0 };
  }

  /**
   * Opens a piece that was read from a file or taken from another device. Where it is here already, what was noted in both is put together,
   * and the drawing here stays; a file that brings nothing new to the record but another drawing becomes a piece of its own.
   * @returns null where the open piece is not to be left
   */
  async function adopt(file: PieceFile): Promise<Adopted | null> {
    ++ticket;
    if (!(await letGo())) return null;
    const { piece, record: entries } = file;
    const found = await store.load(piece.id);
    const here = found.ok ? found.value : null;
    const isSame = here !== null && JSON.stringify(here.piece) === textOf(piece);
    const known = new Set(here?.record.map(({ id }) => id));
    if (here && (isSame || entries.some(({ id }) => !known.has(id)))) {
      await store.addEntries(piece.id, entries);
      if (!isSame) await store.keepState(piece);
      take({ piece: here.piece, record: mergeRecords(here.record, entries) }, here.revision);
      return { id: piece.id, became: isSame ? 'merged' : 'beside' };
    }
    const id = found.ok && here === null ? piece.id : newId();
    // Of a demo that was never changed, what was noted may be here though the piece is not.
    const noted = id === piece.id ? await store.recordOf(id) : [];
    await takeNew({ piece: { ...piece, id }, record: mergeRecords(noted, entries) });
    return { id, became: 'new' };
  }

  /** Takes a piece that is not stored yet, and stores it. */
  async function takeNew(file: PieceFile): Promise<void> {
    take(file, 0);
    isKept.value = false;
    await save();
  }

  function take(file: PieceFile, storedRevision: number): void {
    clearTimeout(timer);
    timer = undefined;
    revision = storedRevision;
    kept = file.piece;
    isKept.value = true;
    conflict.value = null;
    refusals = 0;
    record.take(file.piece.id, file.record);
    opened.take(file.piece);
  }

  /** What could not be saved when the page was closed; where something newer was saved since, it is kept among the earlier states. */
  async function takeUpUnsaved(): Promise<void> {
    const { piece } = opened;
    const unsaved = unkept.take(piece.id);
    if (!unsaved) return;
    if (unsaved.basedOn === revision) {
      opened.take(unsaved.value);
      await save();
    } else {
      await store.keepState(unsaved.value);
      unkept.forget(piece.id);
    }
  }

  function schedule(): void {
    const now = Date.now();
    if (timer === undefined) waitingSince = now;
    clearTimeout(timer);
    saveAfter(Math.max(0, Math.min(PAUSE_MS, waitingSince + LONGEST_WAIT_MS - now)));
  }

  function saveAfter(pauseMs: number): void {
    clearTimeout(timer);
    timer = setTimeout(() => void save(), pauseMs);
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
    // With its first save, what came with it in its record is kept, too: of a file, a hand-over, a demo.
    if (revision === 0) await store.addEntries(piece.id, record.entries);
    const result = await store.save(piece, revision);
    isSaving.value = false;
    // Another piece may have been opened meanwhile: what was answered is not about that.
    if (piece.id !== opened.piece.id) return;
    if (result.type === 'saved') {
      revision = result.revision;
      kept = piece;
      isKept.value = piece === opened.piece;
      refusals = 0;
      unkept.forget(piece.id);
      storageProblem.value = await nearlyFull();
    } else if (result.type === 'conflict') conflict.value = result.isGone ? 'removed' : 'changed';
    else {
      storageProblem.value = result.problem;
      // Tried again with growing pauses; every edit tries it at once.
      saveAfter(Math.min(LONGEST_RETRY_MS, FIRST_RETRY_MS * 2 ** refusals++));
    }
  }

  async function nearlyFull(): Promise<string | null> {
    const share = await fullness();
    if (share === null || share < FULL_SHARE) return null;
    return say.storageFull(share);
  }

  /** Saves at once what still waits to be saved. */
  async function flush(): Promise<void> {
    if (timer !== undefined) await save();
    else await saving;
  }

  /**
   * Sees to it that the open piece is kept before it is left. Where it can't be, the person is asked: `asked` holds the question.
   * @returns whether it may be left
   */
  async function letGo(): Promise<boolean> {
    finishTyping();
    await flush();
    if (isKept.value) return true;
    asked.value?.answer(false);
    const mayGo = await new Promise<boolean>((resolve) => {
      const answer = (mayGo: boolean): void => {
        asked.value = null;
        resolve(mayGo);
      };
      asked.value = { answer };
    });
    if (mayGo) {
      storageProblem.value = null;
      giveUp();
    }
    return mayGo;
  }

  /** What is not kept of the open piece is not to be: it is neither saved nor asked about any more. */
  function giveUp(): void {
    clearTimeout(timer);
    timer = undefined;
    kept = opened.piece;
    isKept.value = true;
    conflict.value = null;
    unkept.forget(opened.piece.id);
  }

  /** What is stored was changed under the open piece, which is kept: it is closed, and read anew when it is opened again. */
  function close(): void {
    ++ticket;
    take({ piece: emptyPiece(NONE, ''), record: [] }, 0);
  }

  /** After a conflict: take what the other tab saved, or keep this state as a piece of its own. */
  async function settleConflict(keepMine: boolean): Promise<string> {
    const { piece } = opened;
    if (keepMine) {
      const name = shortened(piece.name, MOST_NAME - THIS_TAB.length) + THIS_TAB;
      const id = newId();
      await takeNew({ piece: { ...piece, id, name }, record: record.entries });
      return id;
    }
    const stored = await store.load(piece.id);
    if (stored.ok && stored.value) take(stored.value, stored.value.revision);
    return piece.id;
  }

  /** After it was removed in another tab: put it back on the bench as it is here. */
  async function putBack(): Promise<void> {
    conflict.value = null;
    revision = 0;
    await save();
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

  /** Whether what is not kept lies where it is found again. */
  let isAside = false;
  /** The page may not come back: what is being typed is taken, and what is not kept is put aside at once. */
  function leave(): void {
    finishTyping();
    if (isKept.value || conflict.value !== null) return;
    isAside = unkept.put(opened.piece.id, { value: opened.piece, basedOn: revision });
    void flush();
  }
  if (typeof window !== 'undefined') {
    useEventListener(window, 'pagehide', leave);
    useEventListener(window, 'beforeunload', (event) => {
      leave();
      if (!isKept.value && (conflict.value !== null || refusals > 0 || !isAside)) event.preventDefault();
    });
    useEventListener(window.document, 'visibilitychange', () => {
      if (document.visibilityState === 'hidden') leave();
    });
  }

  return {
    store,
    storageProblem,
    conflict,
    asked,
    saveState,
    open,
    adopt,
    flush,
    letGo,
    settleConflict,
    putBack,
    giveUp,
    close,
  };
});
