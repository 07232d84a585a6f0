import { expect, it } from 'vitest';
import { bestWithin, seededRandom, type Choice } from './index.ts';

/** Some things with up to four choices each: the cheapest takes nothing. */
function things(seed: number, count: number): Choice[][] {
  const random = seededRandom(seed);
  return Array.from({ length: count }, () => [
    { cost: 0, gain: random.between(0, 1) },
    ...Array.from({ length: Math.floor(random.between(1, 4)) }, () => ({
      cost: random.between(20, 900),
      gain: random.between(0, 10),
    })),
  ]);
}
const sums = (all: readonly (readonly Choice[])[], picked: readonly number[]): Choice => ({
  cost: all.reduce((sum, choices, i) => sum + choices[picked[i]!]!.cost, 0),
  gain: all.reduce((sum, choices, i) => sum + choices[picked[i]!]!.gain, 0),
});
/** Every way to choose, looked at. */
function exhaustive(all: readonly (readonly Choice[])[], budget: number): number {
  const best = (i: number, left: number): number =>
    i === all.length
      ? 0
      : Math.max(
          ...all[i]!.filter(({ cost }) => cost <= left).map(({ cost, gain }) => gain + best(i + 1, left - cost)),
        );
  return best(0, budget);
}

it('gives as much as the best of all ways, within two in a hundred, and never passes the budget: ten things, 40 seeds', () => {
  for (let seed = 1; seed <= 40; seed++) {
    const all = things(seed, 10);
    for (const budget of [300, 1200, 3000]) {
      const { cost, gain } = sums(all, bestWithin(all, budget, 1)!);
      expect(cost).toBeLessThanOrEqual(budget + 1e-6);
      expect(gain, `seed ${seed}, ${budget}`).toBeGreaterThanOrEqual(0.98 * exhaustive(all, budget));
    }
  }
});

it('never gives less for more', () => {
  for (let seed = 1; seed <= 10; seed++) {
    const all = things(seed, 25);
    let before = -Infinity;
    for (let budget = 0; budget <= 9000; budget += 45) {
      const { gain } = sums(all, bestWithin(all, budget, 15)!);
      expect(gain).toBeGreaterThanOrEqual(before - 1e-9);
      before = gain;
    }
  }
});

it('is null where even the cheapest passes the budget, and of nothing there is nothing to choose', () => {
  expect(bestWithin([[{ cost: 10, gain: 1 }]], 9, 1)).toBeNull();
  expect(bestWithin([[{ cost: 10, gain: 1 }]], 10, 1)).toEqual([0]);
  expect(bestWithin([], 0, 1)).toEqual([]);
  expect(() => bestWithin([[]], 5, 1)).toThrow(RangeError);
});
