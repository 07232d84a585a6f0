import type { ListRow } from '../csv.ts';
import { inSkeins, metresOf } from '../amounts.ts';
import type { BoxEntry } from '../schema.ts';
import { threadKind } from '../../threads.ts';

/** What the person says of a list before it is added. */
export interface JoiningWays {
  /** For thread that is in the box already: whether the list's amount is added to what is there or replaces it. */
  readonly owned: 'add' | 'replace';
  /** Where skeins and metres can't both be right. */
  readonly doubtful: 'skeins' | 'metres';
}

/** What becomes of a row: a thread of its own, put to one that is there, or nothing, as it is there just so. */
export interface JoinedRow {
  readonly row: ListRow;
  readonly became: 'added' | 'joined' | 'same';
}

/** A list put into a box. */
export interface Joining {
  readonly entries: BoxEntry[];
  readonly rows: readonly JoinedRow[];
}

/**
 * Puts the rows of a list to the threads of a box. The same shade in another dye lot or another place is another thread.
 * @param newId the id of a thread that is new
 */
export function joinList(
  box: readonly BoxEntry[],
  rows: readonly ListRow[],
  { owned, doubtful }: JoiningWays,
  newId: () => string,
): Joining {
  const known = new Map(box.map((entry) => [keyOf(entry), entry]));
  const entries = new Map(box.map((entry) => [entry.id, entry]));
  const added: BoxEntry[] = [];
  /** Threads that this list has said something of: a second row of it is put to the first. */
  const told = new Set<string>();
  const joined = rows.map((row): JoinedRow => {
    const { putUpM } = threadKind(row.entry.thread);
    const isByMetres = row.doubt !== null && doubtful === 'metres';
    const entry = isByMetres ? { ...row.entry, ...inSkeins(row.doubt.metres, putUpM) } : row.entry;
    const key = keyOf(entry);
    const there = known.get(key);
    const now = ((): BoxEntry => {
      if (!there) return { ...entry, id: newId() };
      const note = [there.note, entry.note].filter((text, i, all) => text !== '' && all.indexOf(text) === i).join('; ');
      const price = entry.price ?? there.price;
      if (owned === 'replace' && !told.has(key))
        return { ...there, whole: entry.whole, partM: entry.partM, price, note };
      return { ...there, ...inSkeins(metresOf(there) + metresOf(entry), putUpM), price, note };
    })();
    const isSame = there !== undefined && !told.has(key) && isAlike(there, entry);
    told.add(key);
    if (isSame) return { row, became: 'same' };
    known.set(key, now);
    if (!there) added.push(now);
    entries.set(now.id, now);
    return { row, became: there ? 'joined' : 'added' };
  });
  const isAdded = new Set(added.map(({ id }) => id));
  const all = [...entries.values()];
  return {
    entries: [...all.filter(({ id }) => isAdded.has(id)), ...all.filter(({ id }) => !isAdded.has(id))],
    rows: joined,
  };
}

function keyOf({ thread, shade, lot, place }: BoxEntry): string {
  return [thread, shade.range, shade.code, lot, place].join('\n');
}

/** Whether a row says just what the box has, as in a list that was written by it. */
function isAlike(there: BoxEntry, { whole, partM, note, price }: BoxEntry): boolean {
  const isOne = (a: number, b: number): boolean => Math.abs(a - b) < 0.005;
  return (
    there.whole === whole &&
    isOne(there.partM, partM) &&
    (note === '' || note === there.note) &&
    (price === null || price === there.price)
  );
}
