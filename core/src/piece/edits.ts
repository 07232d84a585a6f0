import { failure, success, type Outcome } from '../measure/index.ts';
import type { Piece } from './schema.ts';
import * as say from './words.ts';

export type EditPath = readonly (string | number)[];

/** One value of the piece replaced by another. `undefined` never stands for a value: pieces hold null. */
export interface EditStep {
  readonly path: EditPath;
  readonly before: unknown;
  readonly after: unknown;
}

/** A named change of a piece, as a value that can be undone and done again. */
export interface Edit {
  readonly label: string;
  readonly steps: readonly EditStep[];
  /** Edits that follow at once with the same key are one for undo: typing, dragging. */
  readonly mergeKey: string | null;
}

/** An edit that sets values at paths of a piece, or null where that changes nothing. */
export function editOf(
  piece: Piece,
  label: string,
  changes: readonly (readonly [EditPath, unknown])[],
  mergeKey: string | null = null,
): Edit | null {
  const steps = changes
    .map(([path, after]) => ({ path, before: valueAt(piece, path), after }))
    .filter(({ before, after }) => !isSame(before, after));
  return steps.length === 0 ? null : { label, steps, mergeKey };
}

/** The piece after an edit. Fails where the piece is not the one that the edit was made for. */
export function applyEdit(piece: Piece, edit: Edit): Outcome<Piece> {
  let now: unknown = piece;
  for (const { path, before, after } of edit.steps) {
    if (!isSame(valueAt(now, path), before)) {
      return failure(say.noLongerFits(edit.label), path.join('.'));
    }
    now = withValue(now, path, after);
  }
  return success(now as Piece);
}

export function invertEdit(edit: Edit): Edit {
  const steps = edit.steps.map(({ path, before, after }) => ({ path, before: after, after: before }));
  return { ...edit, steps: steps.reverse() };
}

/**
 * Two edits in a row as one. What the second sets again, and nothing has touched in between, keeps its first `before` and its last `after`:
 * a drag of a thousand moves is no longer than one move.
 */
export function mergeEdits(first: Edit, second: Edit): Edit {
  if (setTheSame(first.steps, second.steps)) {
    return { ...second, steps: first.steps.map((step, i) => ({ ...step, after: second.steps[i]!.after })) };
  }
  const steps = [...first.steps];
  for (const step of second.steps) {
    const at = lastTouching(steps, step);
    if (at >= 0 && isPath(steps[at]!.path, step.path)) steps[at] = { ...steps[at]!, after: step.after };
    else steps.push(step);
  }
  return { ...second, steps };
}

/** Whether two edits set the same values in the same order, none of them part of another: most often they do. */
function setTheSame(first: readonly EditStep[], second: readonly EditStep[]): boolean {
  const isSameWay = first.length === second.length && first.every(({ path }, i) => isPath(path, second[i]!.path));
  if (!isSameWay) return false;
  const isOfOneDepth = first.every(({ path }) => path.length === first[0]!.path.length);
  return isOfOneDepth && new Set(first.map(({ path }) => path.join('\n'))).size === first.length;
}

/** The last step that sets what another sets, something of it, or something around it; -1 where none does. */
function lastTouching(steps: readonly EditStep[], { path }: EditStep): number {
  return steps.findLastIndex((step) => {
    const shorter = Math.min(step.path.length, path.length);
    return isPath(step.path.slice(0, shorter), path.slice(0, shorter));
  });
}

function isPath(a: EditPath | undefined, b: EditPath): boolean {
  return a?.length === b.length && a.every((key, i) => key === b[i]);
}

function valueAt(root: unknown, path: EditPath): unknown {
  return path.reduce<unknown>((value, key) => (value as Record<string | number, unknown>)?.[key], root);
}

function withValue(root: unknown, path: EditPath, value: unknown): unknown {
  const [key, ...rest] = path;
  if (key === undefined) return value;
  const copy = (Array.isArray(root) ? [...root] : { ...(root as object) }) as Record<string | number, unknown>;
  copy[key] = withValue(copy[key], rest, value);
  return copy;
}

function isSame(a: unknown, b: unknown): boolean {
  return a === b || JSON.stringify(a) === JSON.stringify(b);
}
