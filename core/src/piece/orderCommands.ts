import { LET_PLANNER_ORDER, LET_PLANNER_PLACE } from './words.ts';
import { editOf, type Edit } from './edits.ts';
import { MOST_FIXED, type FixedOrder, type LayerRef, type Piece, type SittingCalendar } from './schema.ts';

/** What a person can fix of the order of work. Each gives an edit, or null where nothing would change. */

function setOrder(piece: Piece, label: string, change: Partial<FixedOrder>): Edit | null {
  return editOf(piece, label, [[['order'], { ...piece.order, ...change }]]);
}

const isSameRef = (a: LayerRef, b: LayerRef): boolean =>
  a.part === b.part && a.layer === b.layer && a.shade === b.shade;

/** This before that: what said the opposite is dropped. Null, too, where no more can be fixed. */
export function workBefore(piece: Piece, pairs: FixedOrder['pairs']): Edit | null {
  const isContrary = (old: FixedOrder['pairs'][number]): boolean =>
    pairs.some(
      ({ before, after }) =>
        (isSameRef(old.before, after) && isSameRef(old.after, before)) ||
        (isSameRef(old.before, before) && isSameRef(old.after, after)),
    );
  const kept = [...piece.order.pairs.filter((old) => !isContrary(old)), ...pairs];
  return kept.length > MOST_FIXED ? null : setOrder(piece, 'Fix the order of two parts', { pairs: kept });
}

/** Begins with some parts, leaves them for last, or neither. */
export function workAtEnd(piece: Piece, partIds: readonly string[], end: 'first' | 'last' | null): Edit | null {
  const chosen = new Set(partIds);
  const others = (ids: readonly string[]): string[] => ids.filter((id) => !chosen.has(id));
  const [first, last] = [others(piece.order.first), others(piece.order.last)];
  if (end) (end === 'first' ? first : last).push(...partIds);
  const label = end === 'first' ? 'Work it first' : end === 'last' ? 'Leave it for last' : LET_PLANNER_PLACE;
  return setOrder(piece, label, { first, last });
}

/** Lets go of all that was fixed, or of what was fixed of one part. */
export function freeOrder(piece: Piece, partId?: string): Edit | null {
  const { pairs, first, last } = piece.order;
  const isKept = (id: string): boolean => partId !== undefined && id !== partId;
  return setOrder(piece, LET_PLANNER_ORDER, {
    pairs: pairs.filter(({ before, after }) => isKept(before.part) && isKept(after.part)),
    first: first.filter(isKept),
    last: last.filter(isKept),
  });
}

/** Changes when the person sits at it; with days of the week, as many sittings a week are meant. */
export function setCalendar(piece: Piece, change: Partial<SittingCalendar>): Edit | null {
  const calendar = { ...piece.calendar, ...change };
  const changesPace = change.days && change.days.length > 0;
  return editOf(piece, 'Change the days of sittings', [
    [['calendar'], calendar],
    ...(changesPace ? [[['worker'], { ...piece.worker, sittingsPerWeek: calendar.days.length }] as const] : []),
  ]);
}

/** Moves one sitting to another day; null: back to its own. */
export function moveSitting(piece: Piece, sitting: number, on: string | null): Edit | null {
  const others = piece.calendar.moved.filter((moved) => moved.sitting !== sitting);
  const moved = on === null ? others : [...others, { sitting, on }].sort((a, b) => a.sitting - b.sitting);
  return editOf(piece, 'Move a sitting', [[['calendar'], { ...piece.calendar, moved }]]);
}
