import { failure, type Outcome } from '@junctura/core/measure';
import { applyEdit, editProblem, invertEdit, mergeEdits, type Edit, type Piece } from '@junctura/core/piece';
import * as say from './words.ts';

/** Edits with the same key within this time are one for undo, ms. */
const MERGE_MS = 1200;
const DEPTH = 500;

/** Whether what is done now is one for undo with what was done last, as letters that are typed are; with the key null it never is. */
export function goesOn(
  last: { readonly key: string | null; readonly at: number },
  key: string | null,
  now: number,
): boolean {
  return key !== null && last.key === key && now - last.at < MERGE_MS;
}

/** What can be undone and done again. */
export class History {
  private done: { edit: Edit; at: number }[] = [];
  private undone: Edit[] = [];

  get undoLabel(): string | null {
    return this.done.at(-1)?.edit.label ?? null;
  }

  get redoLabel(): string | null {
    return this.undone.at(-1)?.label ?? null;
  }

  /** The piece after an edit, which is remembered; refused where the edit does not fit, or would make what can't be kept. */
  do(piece: Piece, edit: Edit, now: number): Outcome<Piece> {
    const outcome = applyEdit(piece, edit);
    if (!outcome.ok) return outcome;
    const wrong = editProblem(piece, outcome.value);
    if (wrong !== null) return failure(say.beyondLimits(edit.label, wrong));
    const last = this.done.at(-1);
    if (last && goesOn({ key: last.edit.mergeKey, at: last.at }, edit.mergeKey, now)) {
      this.done[this.done.length - 1] = { edit: mergeEdits(last.edit, edit), at: now };
    } else {
      this.done.push({ edit, at: now });
      if (this.done.length > DEPTH) this.done.shift();
    }
    this.undone = [];
    return outcome;
  }

  undo(piece: Piece): Piece {
    const entry = this.done.pop();
    if (!entry) return piece;
    this.undone.push(entry.edit);
    return applied(piece, invertEdit(entry.edit));
  }

  redo(piece: Piece): Piece {
    const edit = this.undone.pop();
    if (!edit) return piece;
    this.done.push({ edit, at: 0 });
    return applied(piece, edit);
  }
}

function applied(piece: Piece, edit: Edit): Piece {
  const outcome = applyEdit(piece, edit);
  if (!outcome.ok) throw new Error(outcome.problem);
  return outcome.value;
}
