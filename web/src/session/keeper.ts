import { newId } from '../keeping/newId.ts';
import { mergeRecords } from '@junctura/core/log';
import { shortened } from '@junctura/core/measure';
import { checkPiece, emptyPiece, MOST_NAME, type Piece, type PieceFile } from '@junctura/core/piece';
import { defineStore } from 'pinia';
import { markRaw, shallowRef, watch } from 'vue';
import { AsideStore } from '../keeping/asideStore.ts';
import { loadDemo } from '../keeping/demos.ts';
import { fullness } from '../keeping/database.ts';
import { PieceStore, textOf } from '../keeping/pieceStore.ts';
import { Unkept } from '../keeping/unsaved.ts';
import { finishTyping } from '../ui/typing.ts';
import { useKept } from './kept.ts';
import { NONE, useOpenedPiece } from './openedPiece.ts';
import { useRecord } from './record.ts';
import * as say from './words.ts';

/** From this share of the browser's storage on, the person is told. */
const FULL_SHARE = 0.95;

const THIS_TAB = ' (this tab)';

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
  const unkept = markRaw(new Unkept('junctura-unsaved-', checkPiece, new AsideStore()));
  const kept = useKept<Piece>({
    current: () => opened.piece,
    save: async (piece, basedOn) => {
      // With its first save, what came with it in its record is kept, too: of a file, a hand-over, a demo.
      if (basedOn === 0) await store.addEntries(piece.id, record.entries);
      return store.save(piece, basedOn);
    },
    aside: unkept,
    nameOf: ({ id }) => id,
    afterSave: nearlyFull,
    beforeLeaving: finishTyping,
    storedRevision: async () => {
      const stored = await store.revisionOf(opened.piece.id);
      return stored.ok ? stored.value : null;
    },
  });
  const { conflict, problem: storageProblem, state: saveState, save, flush, giveUp } = kept;
  let ticket = 0;
  /** Asked where the piece is to be left and is not kept: whether it may be. */
  const asked = shallowRef<{ answer: (mayGo: boolean) => void } | null>(null);

  /** Opens a stored piece, or a demo that was not opened before. */
  async function open(id: string): Promise<Opening> {
    const mine = ++ticket;
    if (opened.piece.id === id) return { type: 'opened' };
    await flush();
    const [found] = await Promise.all([find(id), unkept.bring(id)]);
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
    kept.takeUnsaved(0);
    await save();
  }

  function take(file: PieceFile, storedRevision: number): void {
    kept.take(file.piece, storedRevision);
    record.take(file.piece.id, file.record);
    opened.take(file.piece);
  }

  /** What could not be saved when the page was closed; where something newer was saved since, it is kept among the earlier states. */
  async function takeUpUnsaved(): Promise<void> {
    const { piece } = opened;
    const unsaved = unkept.take(piece.id);
    if (!unsaved) return;
    if (unsaved.basedOn === kept.revision()) {
      opened.take(unsaved.value);
      await save();
    } else {
      await store.keepState(unsaved.value);
      unkept.forget(piece.id);
    }
  }

  async function nearlyFull(): Promise<string | null> {
    const share = await fullness();
    if (share === null || share < FULL_SHARE) return null;
    return say.storageFull(share);
  }

  /**
   * Sees to it that the open piece is kept before it is left. Where it can't be, the person is asked: `asked` holds the question.
   * @returns whether it may be left
   */
  async function letGo(): Promise<boolean> {
    finishTyping();
    await flush();
    if (kept.isKept.value && record.unkept === 0) return true;
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

  /** What is stored was changed under the open piece, which is kept: it is closed, and read anew when it is opened again. */
  function close(): void {
    ++ticket;
    take({ piece: emptyPiece(NONE, ''), record: [] }, 0);
  }

  /** After a conflict: take what the other tab saved, or keep this state as a piece of its own. */
  async function settleConflict(keepMine: boolean): Promise<string> {
    const { piece } = opened;
    unkept.forget(piece.id);
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
    kept.takeUnsaved(0);
    await save();
  }

  watch(() => opened.piece, kept.changed, { flush: 'sync' });

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
