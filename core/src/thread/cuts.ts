import { valueOf } from '../measure/index.ts';
/** The loads that are drawn out of one cut, each by its number in the order of working. */
export interface Cut {
  readonly loads: readonly number[];
  /** Strands that are left of it and kept. */
  readonly strandsKept: number;
}

/**
 * Shares the strands of cuts among needle loads: the fewest cuts of `perCut` strands that hold all loads. Largest loads
 * first, each into the fullest cut that still takes it; for up to six strands no sharing takes fewer cuts (the tests try
 * every one of them). Loads of the same strand count change places so that each cut serves loads that come soon after each other.
 * @param strands of each load, in the order of working; none has more than a cut
 * @returns the cuts in the order in which they are first needed
 */
export function shareCuts(strands: readonly number[], perCut: number): Cut[] {
  /** The strand counts that each cut is divided into. */
  const divisions: number[][] = [];
  const free: number[] = [];
  for (const wanted of [...strands].sort((a, b) => b - a)) {
    let best = -1;
    free.forEach((left, i) => {
      if (left >= wanted && (best < 0 || left < free[best]!)) best = i;
    });
    if (best < 0) best = divisions.push([]) - 1;
    divisions[best]!.push(wanted);
    free[best] = (free[best] ?? perCut) - wanted;
  }
  return inOrder(strands, divisions)
    .map((loads, i) => ({ loads, strandsKept: free[i]! }))
    .sort(byFirst);
}

const byFirst = (a: Cut, b: Cut): number => a.loads[0]! - b.loads[0]!;

/** Which loads go into which division: of each strand count, the next in the order of working. */
function inOrder(strands: readonly number[], divisions: readonly (readonly number[])[]): number[][] {
  const waiting = new Map<number, number[]>();
  strands.forEach((count, load) => {
    const alike = waiting.get(count);
    if (alike) alike.push(load);
    else waiting.set(count, [load]);
  });
  return divisions.map((division) => division.map((count) => valueOf(waiting, count).shift()!).sort((a, b) => a - b));
}
