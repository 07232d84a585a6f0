import type { PieceRecord, RecordEntry } from '../piece/index.ts';

/**
 * Where an entry stands among all: the latest instant that its device knew of, by its own clock or from other entries, and a count within that
 * instant. An entry therefore stands after every entry that its device knew of, even where the clock was set back or another device's clock is ahead.
 * Source: S. Kulkarni, M. Demirbas and others, Logical physical clocks (2014).
 */
interface Place {
  readonly ms: number;
  readonly n: number;
}

function placeOf({ at, order }: Pick<RecordEntry, 'at' | 'order'>): Place {
  return order ?? { ms: Date.parse(at), n: 0 };
}

/** Entries in the order in which they were noted, as another list. */
export function inOrder<Entry extends RecordEntry>(entries: readonly Entry[]): Entry[] {
  return entries
    .map((entry) => ({ entry, place: placeOf(entry) }))
    .sort(
      (a, b) =>
        a.place.ms - b.place.ms ||
        a.place.n - b.place.n ||
        (a.entry.id < b.entry.id ? -1 : a.entry.id > b.entry.id ? 1 : 0),
    )
    .map(({ entry }) => entry);
}

/**
 * When an entry is noted that follows another.
 * @param last the last of the record, in its order; undefined: there is none
 * @param nowMs what the clock of this device says, ms since 1970
 */
export function notedAfter(
  last: Pick<RecordEntry, 'at' | 'order'> | undefined,
  nowMs: number,
): Pick<RecordEntry, 'at' | 'order'> {
  const at = new Date(nowMs).toISOString();
  if (!last) return { at };
  const { ms, n } = placeOf(last);
  return nowMs > ms ? { at } : { at, order: { ms, n: n + 1 } };
}

/** Clocks of two devices differ by this without a word, ms. */
const CLOCKS_DIFFER_MS = 2 * 60_000;

/** By how much the latest entry is dated later than now, ms; 0: by no more than clocks differ. */
export function aheadMs(record: PieceRecord, nowMs: number): number {
  const latest = record.reduce((most, { at }) => Math.max(most, Date.parse(at)), -Infinity);
  return latest - nowMs > CLOCKS_DIFFER_MS ? latest - nowMs : 0;
}
