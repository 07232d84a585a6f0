import { tryOnScopeDispose, useEventListener } from '@vueuse/core';
import { computed, ref, type ComputedRef, type Ref } from 'vue';
import type { SaveResult } from '../keeping/pieceStore.ts';
import type { Unkept } from '../keeping/unsaved.ts';

/** A save waits for a pause of this, so that typing is not saved letter by letter; in steady work no longer than that, ms. */
const PAUSE_MS = 150;
const LONGEST_WAIT_MS = 800;
/** A refused save is tried again after this, then after twice as long, and so on up to the longest, ms. */
const FIRST_RETRY_MS = 1000;
const LONGEST_RETRY_MS = 30_000;

/** How long to wait before the next try, by the number of refusals in a row, ms. */
export function retryPauseMs(refusals: number): number {
  return Math.min(LONGEST_RETRY_MS, FIRST_RETRY_MS * 2 ** refusals);
}

/** Calls back when the page may not come back, and where it asks whether it may go; `asks` says whether it should stay. */
export function whenPageGoes(leave: () => void, asks: () => boolean): void {
  if (typeof window === 'undefined') return;
  useEventListener(window, 'pagehide', leave);
  useEventListener(window, 'beforeunload', (event) => {
    leave();
    if (asks()) event.preventDefault();
  });
  useEventListener(window.document, 'visibilitychange', () => {
    if (document.visibilityState === 'hidden') leave();
  });
}

/** Calls back when the page is looked at again: meanwhile another tab may have saved, or the storage may have been cleared. */
export function whenPageComes(look: () => void): void {
  if (typeof window === 'undefined') return;
  useEventListener(window, 'focus', look);
  useEventListener(window.document, 'visibilitychange', () => {
    if (document.visibilityState === 'visible') look();
  });
}

export type SaveState = 'saved' | 'saving' | 'unsaved';

/** What stands against keeping something: another tab changed it, or took it away. */
export type Conflict = 'changed' | 'removed';

/** What is kept, and by what. */
export interface KeptBy<T extends object> {
  /** What is shown now. States are never changed: another state is another object. */
  readonly current: () => T;
  /** Saves a state, if nobody else saved since `basedOn`. Answers; never throws. */
  readonly save: (value: T, basedOn: number) => Promise<SaveResult>;
  /** Where a page that goes puts what it could not save, and under which name. */
  readonly aside: Unkept<T>;
  readonly nameOf: (value: T) => string;
  /** What else the person is to be told once a state is kept; null: nothing. */
  readonly afterSave?: () => Promise<string | null>;
  /** What is still being typed is taken before the page goes. */
  readonly beforeLeaving?: () => void;
  /** The revision that is stored now; 0: nothing is; null: it can't be said. */
  readonly storedRevision?: () => Promise<number | null>;
  /** Shows what another tab kept: asked for only where nothing here waits to be saved. */
  readonly readAgain?: () => Promise<void>;
  /** Whether what was cleared away under an open page is written again without asking. */
  readonly writesAgain?: boolean;
}

export interface Kept<T extends object> {
  /** Whether what is shown is kept, is being saved, or is still to be saved. */
  readonly state: ComputedRef<SaveState>;
  readonly isKept: Ref<boolean>;
  readonly conflict: Ref<Conflict | null>;
  /** Why it could not be kept, or what is to be told of the storage; null: nothing. */
  readonly problem: Ref<string | null>;
  /** The revision that is stored, and that the next save builds on; 0: none. */
  revision(): number;
  /** A stored state stands open now. Answers to saves of what was open before are not about this. */
  take(value: T, storedRevision: number): void;
  /** Something stands open now that is not stored as it is. */
  takeUnsaved(basedOn: number): void;
  /** What is shown was changed. */
  changed(): void;
  save(): Promise<void>;
  /** Saves at once what still waits to be saved. */
  flush(): Promise<void>;
  /** Looks whether what is stored is still what was stored from here. */
  look(): Promise<void>;
  /** What is not kept is not to be: it is neither saved nor asked about any more. */
  giveUp(): void;
}

/**
 * One way of keeping what a person changes: it waits for a pause, then it is saved, one save at a time; a refused save is tried again with
 * growing pauses; where another tab saved meanwhile it asks; a page that goes puts aside what is not kept, and asks to stay where it can't.
 */
export function useKept<T extends object>(by: KeptBy<T>): Kept<T> {
  const problem = ref<string | null>(null);
  const conflict = ref<Conflict | null>(null);
  const isSaving = ref(false);
  const isKept = ref(true);
  /** The state that is known to be kept. Everything later is still to be saved. */
  let kept: T | null = by.current();
  let revision = 0;
  /** Grows whenever something else stands open: what is answered to an earlier turn is passed over. */
  let turn = 0;
  let timer: ReturnType<typeof setTimeout> | undefined;
  let waitingSince = 0;
  let saving: Promise<void> | null = null;
  /** How often in a row the save was refused. */
  let refusals = 0;
  /** Whether what is not kept lies where it is found again. */
  let isAside = false;
  const state = computed<SaveState>(() => (isSaving.value ? 'saving' : isKept.value ? 'saved' : 'unsaved'));

  function stopWaiting(): void {
    clearTimeout(timer);
    timer = undefined;
  }

  function begin(value: T | null, basedOn: number): void {
    turn++;
    isAside = false;
    stopWaiting();
    kept = value;
    revision = basedOn;
    isKept.value = value !== null;
    isSaving.value = false;
    conflict.value = null;
    refusals = 0;
  }

  /** Nobody is there any more who could change or see it. */
  let isOver = false;
  tryOnScopeDispose(() => {
    isOver = true;
    stopWaiting();
  });

  function saveAfter(pauseMs: number): void {
    clearTimeout(timer);
    if (isOver) return;
    timer = setTimeout(() => void save(), pauseMs);
  }

  function changed(): void {
    if (by.current() === kept) return;
    isKept.value = false;
    const now = Date.now();
    if (timer === undefined) waitingSince = now;
    saveAfter(Math.max(0, Math.min(PAUSE_MS, waitingSince + LONGEST_WAIT_MS - now)));
  }

  /** One save at a time: a second that is asked for meanwhile follows it. */
  async function save(): Promise<void> {
    stopWaiting();
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
    const value = by.current();
    // Where another tab saved, the person is asked first.
    if (conflict.value !== null) return putAside();
    if (value === kept && isKept.value) return;
    const mine = turn;
    isSaving.value = true;
    const result = await by.save(value, revision);
    if (mine !== turn) return;
    isSaving.value = false;
    if (result.type === 'saved') {
      revision = result.revision;
      kept = value;
      isKept.value = value === by.current();
      refusals = 0;
      // What was changed meanwhile still lies aside: it builds on this now.
      if (isKept.value) by.aside.forget(by.nameOf(value));
      else if (isAside) putAside();
      problem.value = (await by.afterSave?.()) ?? null;
    } else if (result.type === 'conflict') {
      if (result.isGone && by.writesAgain === true) return writeAgain();
      conflict.value = result.isGone ? 'removed' : 'changed';
      putAside();
    } else {
      problem.value = result.problem;
      putAside();
      // Tried again with growing pauses; every change tries it at once.
      saveAfter(retryPauseMs(refusals++));
    }
  }

  function writeAgain(): Promise<void> {
    revision = 0;
    kept = null;
    isKept.value = false;
    return saveOnce();
  }

  async function look(): Promise<void> {
    if (!by.storedRevision || !isKept.value || isSaving.value || conflict.value !== null) return;
    const [mine, known] = [turn, revision];
    const stored = await by.storedRevision();
    if (mine !== turn || known !== revision || !isKept.value || stored === null || stored === known) return;
    if (stored > 0) await by.readAgain?.();
    else if (by.writesAgain === true) await writeAgain();
    else conflict.value = 'removed';
  }
  whenPageComes(() => void look());

  async function flush(): Promise<void> {
    if (timer !== undefined) await save();
    else await saving;
  }

  function giveUp(): void {
    const value = by.current();
    begin(value, revision);
    by.aside.forget(by.nameOf(value));
  }

  function putAside(): void {
    const value = by.current();
    isAside = by.aside.put(by.nameOf(value), { value, basedOn: revision });
  }

  /** The page may not come back: what is not kept is put aside at once. */
  function leave(): void {
    by.beforeLeaving?.();
    if (isKept.value) return;
    putAside();
    if (conflict.value === null) void flush();
  }
  whenPageGoes(leave, () => !isKept.value && (conflict.value !== null || refusals > 0 || !isAside));

  return {
    state,
    isKept,
    conflict,
    problem,
    revision: () => revision,
    take: begin,
    takeUnsaved: (basedOn) => begin(null, basedOn),
    changed,
    save,
    flush,
    look,
    giveUp,
  };
}
