import { inOrder } from './entryOrder.ts';
import type { PieceRecord, RecordEntry, ThreadUse } from '../piece/index.ts';

/** What a record says of a piece. */
export interface Progress {
  /** Ids of the parts that are worked. */
  readonly done: ReadonlySet<string>;
  /** What was used of thread, as it was noted. */
  readonly uses: readonly ThreadUse[];
}

/** Reads off a record what is done and what was used: voided entries do not count. Whatever the order of the entries, it says the same. */
export function progressOf(record: PieceRecord): Progress {
  const counting = countingEntries(record);
  return {
    done: new Set(counting.flatMap((entry) => ('part' in entry ? [entry.part] : []))),
    uses: inOrder(counting.filter((entry) => entry.type === 'thread-used')),
  };
}

/** The entries that still count: those that are not voided. A `voided` entry itself can't be voided; what it took back is noted anew. */
export function countingEntries(record: PieceRecord): RecordEntry[] {
  const gone = new Set(record.flatMap((entry) => (entry.type === 'voided' ? [entry.entry] : [])));
  return record.filter(({ id, type }) => type === 'voided' || !gone.has(id));
}

/** What a record says of the finishing. */
export interface FinishProgress {
  /** What is done, each with the entry that says so. */
  readonly done: ReadonlyMap<string, string>;
  /** The entry by which the piece was ended last; null: it is not. */
  readonly ended: Extract<RecordEntry, { type: 'piece-ended' }> | null;
}

export function finishProgress(record: PieceRecord): FinishProgress {
  const counting = inOrder(countingEntries(record));
  return {
    done: new Map(counting.flatMap((entry) => (entry.type === 'finish-done' ? [[entry.act, entry.id] as const] : []))),
    ended: counting.findLast((entry) => entry.type === 'piece-ended') ?? null,
  };
}

/** The entries of two copies of a record together, each once, in the order in which they were noted. Where both have an id, it is the same entry. */
export function mergeRecords(a: PieceRecord, b: PieceRecord): RecordEntry[] {
  return inOrder([...new Map([...a, ...b].map((entry) => [entry.id, entry])).values()]);
}

/** What takes a part back into what is still to work: every entry that says it is done, voided. */
export function toWorkAgain(
  record: PieceRecord,
  parts: ReadonlySet<string>,
  newEntry: () => Pick<RecordEntry, 'id' | 'at' | 'order'>,
): RecordEntry[] {
  return countingEntries(record).flatMap((entry): RecordEntry[] =>
    'part' in entry && parts.has(entry.part) ? [{ ...newEntry(), type: 'voided', entry: entry.id }] : [],
  );
}
