/** Ways to set the hoop that are looked at, the most telling first, and trials of the exact search before the greedy answer is taken. */
const MOST_ROWS = 500;
const MOST_TRIALS = 3000;

/**
 * The fewest rows that together cover every column: greedy first, then an exact search for fewer, as far as its trials go.
 * @returns the numbers of the rows; null where some column is covered by none
 */
export function fewestCovering(covers: readonly Uint8Array[], count: number): number[] | null {
  const gain = covers.map((row) => row.reduce((sum, value) => sum + value, 0));
  const seen = new Set<string>();
  const rows = covers
    .map((_, r) => r)
    .sort((p, q) => gain[q]! - gain[p]!)
    .filter((r) => {
      const key = covers[r]!.join('');
      return !seen.has(key) && seen.add(key);
    });
  const greedy = greedyCovering(covers, rows, count);
  if (!greedy) return null;
  const short = rows.slice(0, MOST_ROWS);
  const rowsOf = Array.from({ length: count }, (_, column) => short.filter((r) => covers[r]![column]));
  // Columns with the fewest rows first: they leave the fewest ways to go on.
  const columns = rowsOf.map((_, column) => column).sort((p, q) => rowsOf[p]!.length - rowsOf[q]!.length);
  const times = new Uint8Array(count);
  let trials = 0;
  const search = (room: number): number[] | null => {
    const column = columns.find((each) => times[each] === 0);
    if (column === undefined) return [];
    if (room === 0 || ++trials > MOST_TRIALS) return null;
    for (const row of rowsOf[column]!) {
      covers[row]!.forEach((value, i) => (times[i]! += value));
      const more = search(room - 1);
      covers[row]!.forEach((value, i) => (times[i]! -= value));
      if (more) return [row, ...more];
      if (trials > MOST_TRIALS) return null;
    }
    return null;
  };
  for (let wanted = 1; wanted < greedy.length && trials <= MOST_TRIALS; wanted++) {
    const found = search(wanted);
    if (found) return found;
  }
  return greedy;
}

function greedyCovering(covers: readonly Uint8Array[], rows: readonly number[], count: number): number[] | null {
  const isCovered = new Uint8Array(count);
  const chosen: number[] = [];
  for (let left = count; left > 0;) {
    let [best, most] = [-1, 0];
    for (const r of rows) {
      const row = covers[r]!;
      let sum = 0;
      for (let i = 0; i < count; i++) if (row[i] && !isCovered[i]) sum++;
      if (sum > most) [best, most] = [r, sum];
    }
    if (best < 0) return null;
    chosen.push(best);
    covers[best]!.forEach((value, i) => value && (isCovered[i] = 1));
    left -= most;
  }
  // Taken one by one: two that are each needless beside the other must not both go.
  return chosen.reduce((kept, row) => {
    const others = kept.filter((other) => other !== row);
    const isNeedless = covers[row]!.every((value, column) => !value || others.some((other) => covers[other]![column]));
    return isNeedless ? others : kept;
  }, chosen);
}
