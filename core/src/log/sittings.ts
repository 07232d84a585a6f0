import type { PieceRecord, RecordEntry } from '../piece/index.ts';
import { inOrder } from './entryOrder.ts';
import { countingEntries } from './progress.ts';

/** The last sitting of a record: open, or how it was closed. */
export interface LastSitting {
  /** An ISO time. */
  readonly begun: string;
  /** An ISO time; null: it is open. */
  readonly ended: string | null;
  /** Needles that are laid out in it while it is open; null: nobody counted. */
  readonly needlesOut: number | null;
  /** Needles that were laid out and not counted in when it was closed. */
  readonly needlesMissing: number;
  /** Whether the cloth was taken out of the hoop since it began. */
  readonly isTakenOff: boolean;
}

/** Reads off a record its last sitting, whatever the order of its entries; null: there was none. */
export function lastSitting(record: PieceRecord): LastSitting | null {
  return inOrder(countingEntries(record)).reduce(afterEntry, null);
}

/** The last sitting once one more entry was noted. */
export function afterEntry(last: LastSitting | null, entry: RecordEntry): LastSitting | null {
  if (entry.type === 'sitting-begun') {
    return { begun: entry.at, ended: null, needlesOut: entry.needles, needlesMissing: 0, isTakenOff: false };
  }
  if (!last) return null;
  if (entry.type === 'cloth-taken-off') return { ...last, isTakenOff: true };
  if (entry.type === 'cloth-mounted') return { ...last, isTakenOff: false };
  if (entry.type !== 'sitting-ended') return last;
  const { needlesOut } = last;
  const missing = needlesOut !== null && entry.needles !== null ? needlesOut - entry.needles : 0;
  return { ...last, ended: entry.at, needlesOut: null, needlesMissing: missing };
}
