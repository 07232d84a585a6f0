import { failure, type Outcome } from '@junctura/core/measure';
import {
  applyEdit,
  editProblem,
  emptyPiece,
  invertEdit,
  mergeEdits,
  type Edit,
  type Part,
  type Piece,
} from '@junctura/core/piece';
import { defineStore } from 'pinia';
import { computed, markRaw, ref, shallowRef } from 'vue';
import { History } from './history.ts';
import * as say from './words.ts';

/** The id of the piece that stands there before one is opened. */
export const NONE = 'none';

const newHistory = (): History<Edit> => new History<Edit>({ keyOf: ({ mergeKey }) => mergeKey, merged: mergeEdits });

/** A piece after an edit; refused where the edit does not fit, or would make what can't be kept. */
function edited(piece: Piece, edit: Edit): Outcome<Piece> {
  const outcome = applyEdit(piece, edit);
  const wrong = outcome.ok ? editProblem(piece, outcome.value) : null;
  return wrong === null ? outcome : failure(say.beyondLimits(edit.label, wrong));
}

function applied(piece: Piece, edit: Edit): Piece {
  const outcome = applyEdit(piece, edit);
  if (!outcome.ok) throw new Error(outcome.problem);
  return outcome.value;
}

/** The piece that is open, and the edits that can be undone. It knows nothing of storage, plans or the screen. */
export const useOpenedPiece = defineStore('openedPiece', () => {
  let history = newHistory();
  const piece = shallowRef<Piece>(markRaw(emptyPiece(NONE, '')));
  const partsById = computed(() => new Map(piece.value.drawing.parts.map((part) => [part.id, part])));
  const undoLabel = ref<string | null>(null);
  const redoLabel = ref<string | null>(null);
  /** What was done last, in words; null: nothing since it was opened. */
  const lastAction = shallowRef<{ readonly label: string } | null>(null);

  /** Why the last edit was not carried out; null: it was. */
  const refused = ref<string | null>(null);

  /** Opens another piece, or another state of this one that is not an edit. What was done before can't be undone any more. */
  function take(next: Piece): void {
    history = newHistory();
    lastAction.value = null;
    refused.value = null;
    show(next);
  }

  /** Carries out an edit; null (nothing would change) is passed over. */
  function edit(change: Edit | null): void {
    if (!change) return;
    const done = edited(piece.value, change);
    refused.value = done.ok ? null : done.problem;
    if (!done.ok) return;
    history.put(change, Date.now());
    lastAction.value = { label: change.label };
    show(done.value);
  }

  function undo(): void {
    const change = history.undo();
    if (!change) return;
    lastAction.value = { label: `Undone: ${change.label}` };
    show(applied(piece.value, invertEdit(change)));
  }

  function redo(): void {
    const change = history.redo();
    if (!change) return;
    lastAction.value = { label: say.redone(change.label) };
    show(applied(piece.value, change));
  }

  /** Takes a whole other state of this piece, as one edit that can be undone. */
  function restore(state: Piece, label: string): void {
    const keys = Object.keys(state) as (keyof Piece)[];
    const steps = keys
      .filter((key) => key !== 'id' && JSON.stringify(state[key]) !== JSON.stringify(piece.value[key]))
      .map((key) => ({ path: [key], before: piece.value[key], after: state[key] }));
    if (steps.length > 0) edit({ label, steps, mergeKey: null });
  }

  function show(next: Piece): void {
    undoLabel.value = history.undoLabel;
    redoLabel.value = history.redoLabel;
    piece.value = markRaw(next);
  }

  /** A part by its id; undefined where it is gone. */
  function partOf(id: string | null | undefined): Part | undefined {
    return id == null ? undefined : partsById.value.get(id);
  }

  /** What a part is called; empty where it is gone. */
  function nameOf(id: string | null | undefined): string {
    return partOf(id)?.name ?? '';
  }

  return { piece, partOf, nameOf, undoLabel, redoLabel, lastAction, refused, take, edit, undo, redo, restore };
});
