/** The median time of a piece of work in ms, over at least seven rounds, after two to warm up. */
export function medianMs(work: () => void, rounds = 9): number {
  for (let i = 0; i < 2; i++) work();
  return median(Array.from({ length: rounds }, () => timed(work)));
}

/** How many times as long one piece of work takes as another: the median over rounds in which they take turns, so that both meet the same machine. */
export function medianRatio(one: () => void, other: () => void, rounds = 9): number {
  for (let i = 0; i < 2; i++) [one, other].forEach(timed);
  return median(Array.from({ length: rounds }, () => timed(one) / timed(other)));
}

/** How long a piece of work takes, ms. */
function timed(work: () => void): number {
  const start = performance.now();
  work();
  return performance.now() - start;
}

/** The middle one of some numbers. */
export function median(values: readonly number[]): number {
  return [...values].sort((a, b) => a - b)[values.length >> 1]!;
}
