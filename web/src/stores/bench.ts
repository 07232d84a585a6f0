import { ownedFindings, ownedFor, type Workings } from '@junctura/core/advice';
import type { Seeing } from '@junctura/core/colour';
import { emptyPiece, type Edit, type Piece } from '@junctura/core/piece';
import { usesColour } from '@junctura/core/plan';
import { defineStore } from 'pinia';
import { computed, markRaw, ref, shallowRef, watch } from 'vue';
import { loadDemo } from '../keeping/demos.ts';
import { PieceStore } from '../keeping/pieceStore.ts';
import { PlannerClient } from '../workers/plannerClient.ts';
import { History } from './history.ts';
import { useSettings } from './settings.ts';
import { useThreadBox } from './threadBox.ts';
import { tallyOf, type Tally } from './tally.ts';

const SAVE_AFTER_MS = 400;
/** Planning that takes longer than this shows that it is under way, ms. */
const SHOW_BUSY_AFTER_MS = 500;
/** From this share of the browser's storage on, the person is told. */
const FULL_SHARE = 0.95;

/** What a stroke or press on the hoop means while the pen is out. */
export interface Pen {
  readonly draws: 'guides' | 'vein' | 'borders' | 'points' | 'centre' | 'area' | 'line' | 'spot' | 'knife';
  /** Empty where what is drawn is to be a part itself. */
  readonly part: string;
  /** The layer that points belong to. */
  readonly pass: number;
}

export type SaveState = 'saved' | 'saving' | 'unsaved';

/** The piece on the bench: it, its history, its workings, and whether it is kept. */
export const useBench = defineStore('bench', () => {
  const settings = useSettings();
  const threads = useThreadBox();
  const store = markRaw(new PieceStore(() => Date.now()));
  const planner = markRaw(new PlannerClient());
  let history = new History();
  let revision = 0;
  let saveTimer: ReturnType<typeof setTimeout> | undefined;
  let saving: Promise<void> | null = null;

  const piece = shallowRef<Piece>(emptyPiece('none', ''));
  /** What was planned, with what is found of the thread that the person owns. */
  const workings = shallowRef<Workings | null>(null);
  let planned: Workings | null = null;
  const isBusy = ref(false);
  const problem = ref<string | null>(null);
  const storageProblem = ref<string | null>(null);
  const conflict = ref(false);
  const saveState = ref<SaveState>('saved');
  const undoLabel = ref<string | null>(null);
  const redoLabel = ref<string | null>(null);
  const picked = ref<string[]>([]);
  /** The colour whose thread alone is looked at. */
  const colourPicked = ref<string | null>(null);
  /** What was left on the needle when thread was noted last. */
  const onNeedle = shallowRef<{ colour: string; strands: number; leftMm: number } | null>(null);
  /** The way in which the hoop is seen: by day, by a lamp, without colour … */
  const seeing = ref<Seeing | 'armsLength'>('daylight');
  /** What is being drawn on the hoop for a part, in place of picking. */
  const pen = ref<Pen | null>(null);
  /** What the last change made of the tally: its label, and the tally before it. */
  const lastChange = shallowRef<{ label: string; before: Tally } | null>(null);

  const tally = computed(() => (workings.value ? tallyOf(piece.value, workings.value) : null));
  /** The kinds of thread in which the piece is worked. */
  const kinds = computed(() => [...new Set(workings.value?.plan.colours.map(({ thread }) => thread))]);
  const pickedPart = computed(() => piece.value.drawing.parts.find((part) => part.id === picked.value[0]) ?? null);

  /** Opens a stored piece, or a demo that was not opened before. Answers with a problem, or null. */
  async function open(id: string): Promise<string | null> {
    if (piece.value.id === id) return null;
    await flush();
    void threads.load();
    const stored = await store.load(id);
    if (!stored.ok) {
      if (!id.startsWith('demo-')) return stored.problem;
      storageProblem.value = stored.problem;
    }
    if (stored.ok && stored.value) {
      take(stored.value.piece, stored.value.revision);
      return null;
    }
    const demo = await loadDemo(id);
    if (!demo.ok) return id.startsWith('demo-') ? demo.problem : 'This piece is not on this browser’s bench.';
    take(demo.value, 0);
    return null;
  }

  /** Puts a piece on the bench that was read from a file, under an id of its own where that is taken. */
  async function adopt(incoming: Piece): Promise<string> {
    await flush();
    const isTaken = await store.load(incoming.id);
    const id = isTaken.ok && isTaken.value ? crypto.randomUUID() : incoming.id;
    take({ ...incoming, id }, 0);
    await save();
    return id;
  }

  function take(next: Piece, storedRevision: number): void {
    history = new History();
    revision = storedRevision;
    piece.value = markRaw(next);
    planned = null;
    workings.value = null;
    picked.value = [];
    pen.value = null;
    onNeedle.value = null;
    lastChange.value = null;
    conflict.value = false;
    problem.value = null;
    labels();
    void replan();
  }

  /** Carries out an edit; null (nothing would change) is passed over. */
  function edit(change: Edit | null): void {
    if (!change) return;
    remember(change.label);
    set(history.do(piece.value, change, Date.now()));
  }

  function undo(): void {
    if (!undoLabel.value) return;
    remember(`Undone: ${undoLabel.value}`);
    set(history.undo(piece.value));
  }

  function redo(): void {
    if (!redoLabel.value) return;
    remember(`Done again: ${redoLabel.value}`);
    set(history.redo(piece.value));
  }

  /** Takes a whole other state of this piece, as one edit that can be undone. */
  function restore(state: Piece, label: string): void {
    const keys = Object.keys(state) as (keyof Piece)[];
    const steps = keys
      .filter((key) => key !== 'id' && JSON.stringify(state[key]) !== JSON.stringify(piece.value[key]))
      .map((key) => ({ path: [key], before: piece.value[key], after: state[key] }));
    if (steps.length > 0) edit({ label, steps, mergeKey: null });
  }

  function remember(label: string): void {
    const before = tally.value ?? lastChange.value?.before;
    if (before) lastChange.value = { label, before };
  }

  function set(next: Piece): void {
    piece.value = markRaw(next);
    const isThere = (id: string): boolean => next.drawing.parts.some((part) => part.id === id);
    if (!picked.value.every(isThere)) picked.value = picked.value.filter(isThere);
    labels();
    scheduleSave();
    void replan();
  }

  function labels(): void {
    undoLabel.value = history.undoLabel;
    redoLabel.value = history.redoLabel;
  }

  async function replan(): Promise<void> {
    const timer = setTimeout(() => (isBusy.value = true), SHOW_BUSY_AFTER_MS);
    const answer = await planner.plan(piece.value, settings.hand);
    clearTimeout(timer);
    if (answer === null) return;
    isBusy.value = false;
    if (answer.ok) {
      planned = answer.value;
      lookInBox();
      problem.value = null;
    } else problem.value = `The piece could not be planned: ${answer.problem}`;
  }

  /** Findings of what is owned are made here: the planner knows nothing of the thread box. */
  function lookInBox(): void {
    if (!planned) return;
    const owned = ownedFindings(planned.plan, ownedFor(piece.value, planned.plan, threads.box));
    workings.value = markRaw({ ...planned, findings: [...planned.findings, ...owned] });
  }

  function scheduleSave(): void {
    saveState.value = 'unsaved';
    clearTimeout(saveTimer);
    saveTimer = setTimeout(() => void save(), SAVE_AFTER_MS);
  }

  /** One save at a time: a second that is asked for meanwhile follows it. */
  async function save(): Promise<void> {
    clearTimeout(saveTimer);
    saveTimer = undefined;
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
    saveState.value = 'saving';
    const saved = piece.value;
    const result = await store.save(saved, revision);
    if (result.type === 'saved') {
      revision = result.revision;
      storageProblem.value = await nearlyFull();
      saveState.value = saved === piece.value ? 'saved' : 'unsaved';
    } else {
      saveState.value = 'unsaved';
      if (result.type === 'conflict') conflict.value = true;
      else storageProblem.value = result.problem;
    }
  }

  async function nearlyFull(): Promise<string | null> {
    const share = await store.fullness();
    if (share === null || share < FULL_SHARE) return null;
    return `The browser’s storage is ${Math.round(share * 100)} % full. Export your pieces to files before it refuses to keep more.`;
  }

  /** Saves at once what still waits to be saved. */
  async function flush(): Promise<void> {
    if (saveTimer !== undefined) await save();
    else await saving;
  }

  /** After a conflict: take what the other tab saved, or keep this state as a piece of its own. */
  async function settleConflict(keepMine: boolean): Promise<string> {
    const mine = piece.value;
    if (keepMine) return adopt({ ...mine, id: crypto.randomUUID(), name: `${mine.name} (this tab)` });
    const stored = await store.load(mine.id);
    if (stored.ok && stored.value) take(stored.value.piece, stored.value.revision);
    return mine.id;
  }

  /** Picks every part in which a colour is worked; the hoop can then show its thread alone. */
  function pickColour(id: string | null): void {
    const using = workings.value?.plan.parts.filter((planned) => id !== null && usesColour(planned, id)) ?? [];
    pick(using.map(({ part }) => part.id));
    colourPicked.value = id;
  }

  function pick(ids: string[]): void {
    colourPicked.value = null;
    picked.value = ids;
    pen.value = null;
  }

  watch(
    () => settings.own,
    () => void replan(),
    { deep: true },
  );
  watch(() => threads.box, lookInBox);
  window.addEventListener('pagehide', () => void flush());
  document.addEventListener('visibilitychange', () => {
    if (document.visibilityState === 'hidden') void flush();
  });

  return {
    store,
    piece,
    workings,
    tally,
    lastChange,
    isBusy,
    problem,
    storageProblem,
    conflict,
    saveState,
    undoLabel,
    redoLabel,
    picked,
    pickedPart,
    pen,
    colourPicked,
    kinds,
    onNeedle,
    seeing,
    pickColour,
    open,
    adopt,
    edit,
    undo,
    redo,
    restore,
    pick,
    flush,
    settleConflict,
  };
});
