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
