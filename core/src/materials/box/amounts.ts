import { failure, success, type Outcome } from '../../measure/index.ts';
import { isSameShade, type ShadeRef } from '../ranges.ts';
import { threadKind, type ThreadKind, type ThreadId } from '../threads.ts';
import type { BoxEntry, ThreadBox } from './schema.ts';
import * as say from '../words.ts';

/** Metres of the whole thread in an entry. */
export function metresOf({ thread, whole, partM }: BoxEntry): number {
  return whole * threadKind(thread).putUpM + partM;
}

/** Metres that are kept for pieces other than one. */
export function reservedM({ reserved }: BoxEntry, exceptPiece = ''): number {
  return reserved.reduce((sum, { piece, metres }) => sum + (piece === exceptPiece ? 0 : metres), 0);
}

/** Metres of an entry that one piece can have. */
export function freeM(entry: BoxEntry, piece = ''): number {
  return Math.max(0, metresOf(entry) - reservedM(entry, piece));
}

/** What of a box is of a shade in a kind of thread. */
export function entriesOf(box: ThreadBox, shade: ShadeRef, thread: ThreadId): BoxEntry[] {
  return box.entries.filter((entry) => entry.thread === thread && isSameShade(entry.shade, shade));
}

/** Metres of a shade that a piece can have, of one lot or of all. */
export function ownedM(
  box: ThreadBox,
  shade: ShadeRef,
  thread: ThreadId,
  piece = '',
  lot: string | null = null,
): number {
  return entriesOf(box, shade, thread)
    .filter((entry) => lot === null || entry.lot === lot)
    .reduce((sum, entry) => sum + freeM(entry, piece), 0);
}

/** Metres as whole skeins and what is left of one. */
export function inSkeins(metres: number, putUpM: number): Pick<BoxEntry, 'whole' | 'partM'> {
  const whole = Math.floor(metres / putUpM + 1e-9);
  return { whole, partM: Math.max(0, Math.round((metres - whole * putUpM) * 1000) / 1000) };
}

/** A length that was weighed, and how surely it is known. */
export interface Weighed {
  readonly metres: number;
  readonly plusMinusM: number;
}

/**
 * A remainder by its weight: mass = tex × length.
 * @param grams on the scale, bobbin or band included
 * @param bareGrams of the bobbin or band alone
 * @param stepGrams the smallest step that the scale shows; it is right to half of it, for either weight
 */
export function weighed(kind: ThreadKind, grams: number, bareGrams: number, stepGrams: number): Outcome<Weighed> {
  if (!Number.isFinite(grams) || !Number.isFinite(bareGrams) || grams < 0 || bareGrams < 0) {
    return failure('Enter the weight in grams, 0 or more.');
  }
  const net = grams - bareGrams;
  if (net < -stepGrams / 2) {
    return failure(say.lessThanBobbin(grams, bareGrams));
  }
  const gramsPerM = (kind.tex * kind.strands) / 1000;
  // Two readings where there is a bobbin, each within half a step.
  const error = (stepGrams / 2) * (bareGrams > 0 ? Math.SQRT2 : 1);
  return success({ metres: Math.max(0, net) / gramsPerM, plusMinusM: error / gramsPerM });
}

/** Short of what pieces reserve, or all but used up. */
export function isShort(entry: BoxEntry): boolean {
  return metresOf(entry) < reservedM(entry);
}
/** Less than this share of a skein is low. */
const LOW_SHARE = 0.25;
export function isLow(entry: BoxEntry): boolean {
  return metresOf(entry) < LOW_SHARE * threadKind(entry.thread).putUpM;
}
