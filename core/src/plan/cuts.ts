/**
 * Shares the strands of cuts among needle loads: the fewest cuts of `perCut` strands that hold loads of the given strand
 * counts. Largest loads first, each into the fullest cut that still takes it, which is exact for up to six strands
 * (every leftover of one to three strands is filled by the largest load that fits).
 * @param loadsOf how many loads there are of each strand count (index = strands)
 * @returns the number of cuts and the strands left over and kept
 */
export function shareCuts(loadsOf: readonly number[], perCut: number): { cuts: number; strandsKept: number } {
  /** Cuts with i strands still free. */
  const open = new Array<number>(perCut + 1).fill(0);
  let [cuts, used] = [0, 0];
  for (let strands = Math.min(perCut, loadsOf.length - 1); strands >= 1; strands--) {
    for (let load = 0; load < (loadsOf[strands] ?? 0); load++) {
      used += strands;
      let free = strands;
      while (free <= perCut && open[free] === 0) free++;
      if (free > perCut) {
        cuts++;
        free = perCut;
      } else open[free]!--;
      open[free - strands]!++;
    }
  }
  return { cuts, strandsKept: cuts * perCut - used };
}
