/** The median time of a piece of work in ms, over at least seven rounds, after two to warm up. */
export function medianMs(work: () => void, rounds = 9): number {
  for (let i = 0; i < 2; i++) work();
  const times = Array.from({ length: rounds }, () => {
    const start = performance.now();
    work();
    return performance.now() - start;
  });
  return times.sort((a, b) => a - b)[rounds >> 1]!;
}

/** How many times as long one piece of work takes as another: the median over rounds in which they take turns, so that both meet the same machine. */
export function medianRatio(one: () => void, other: () => void, rounds = 9): number {
  const timed = (work: () => void): number => {
    const start = performance.now();
    work();
    return performance.now() - start;
  };
  for (let i = 0; i < 2; i++) [one, other].forEach(timed);
  const ratios = Array.from({ length: rounds }, () => timed(one) / timed(other));
  return ratios.sort((a, b) => a - b)[rounds >> 1]!;
}
