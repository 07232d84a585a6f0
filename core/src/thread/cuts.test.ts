import { describe, expect, it } from 'vitest';
import { seededRandom } from '../measure/index.ts';
import { shareCuts } from './index.ts';

const SEEDS = Array.from({ length: 150 }, (_, i) => i + 1);
const someLoads = (seed: number): number[] => {
  const random = seededRandom(seed);
  return Array.from({ length: 1 + Math.floor(random.next() * 7) }, () => 1 + Math.floor(random.next() * 6));
};

/** The slow, obvious way: every way of putting loads into cuts. */
function byTrying([strands, ...rest]: readonly number[], open: readonly number[]): number {
  if (strands === undefined) return open.length;
  let best = byTrying(rest, [...open, 6 - strands]);
  open.forEach((free, i) => {
    if (free < strands || open.indexOf(free) < i) return;
    const left = open.map((room, j) => (i === j ? room - strands : room));
    best = Math.min(best, byTrying(rest, left));
  });
  return best;
}

describe('shareCuts', () => {
  it('takes three loads of two from a cut, and keeps two strands of a load of four', () => {
    expect(shareCuts([2, 2, 2], 6)).toEqual([{ loads: [0, 1, 2], strandsKept: 0 }]);
    expect(shareCuts([4], 6)).toEqual([{ loads: [0], strandsKept: 2 }]);
    expect(shareCuts([], 6)).toEqual([]);
  });

  it.each(SEEDS)('takes as few cuts as trying every way (seed %i)', (seed) => {
    const strands = someLoads(seed);
    const cuts = shareCuts(strands, 6);
    expect(cuts).toHaveLength(byTrying(strands, []));
  });

  it.each(SEEDS.slice(0, 40))('gives every load once, and keeps what is over (seed %i)', (seed) => {
    const strands = someLoads(seed);
    const cuts = shareCuts(strands, 6);
    expect(cuts.flatMap(({ loads }) => loads).sort((a, b) => a - b)).toEqual(strands.map((_, i) => i));
    for (const { loads, strandsKept } of cuts) {
      expect(loads.reduce((sum, load) => sum + strands[load]!, 0) + strandsKept).toBe(6);
    }
    // Cuts come in the order in which they are first needed, so that the next is always the next to be cut.
    const firsts = cuts.map(({ loads }) => loads[0]!);
    expect(firsts).toEqual([...firsts].sort((a, b) => a - b));
  });
});
