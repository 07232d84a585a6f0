import { USUAL_SPREAD } from '../work/index.ts';
import { describe, expect, it } from 'vitest';
import { seededRandom } from '../measure/index.ts';
import { drawNeeds, needOdds, quantile, risingFactors, shareWithin } from './index.ts';

/**
 * An embroiderer who was not asked when the odds were made: her hand is hers for the whole colour, each stitch of a load differs
 * for itself, what goes wrong goes wrong by chance along the way.
 */
function worked(loads: number, seed: number): number {
  const random = seededRandom(seed);
  const hand = Math.exp(USUAL_SPREAD.hand * random.normal());
  const stitchesPerLoad = 60;
  // Stitches of one load are alike: most of a load's spread is its own, the rest is stitch by stitch.
  const own = USUAL_SPREAD.load * 0.95;
  const rest = Math.sqrt(USUAL_SPREAD.load ** 2 - own ** 2) * Math.sqrt(stitchesPerLoad);
  let used = 0;
  for (let load = 0; load < loads; load++) {
    const day = Math.max(0.2, 1 + own * random.normal());
    let length = 0;
    for (let i = 0; i < stitchesPerLoad; i++)
      length += (day * Math.max(0, 1 + rest * random.normal())) / stitchesPerLoad;
    used += length;
    if (random.next() < USUAL_SPREAD.unpicked) used += length;
  }
  return (hand * used) / loads;
}

describe('the odds of thread', () => {
  it.each([1, 3, 8, 25, 80])('hold for 88 to 92 of 100 embroiderers where they say 90 (%i loads)', (loads) => {
    const { p90 } = needOdds(1, loads, USUAL_SPREAD);
    const people = 6000;
    let enough = 0;
    for (let i = 0; i < people; i++) if (worked(loads, 7919 * loads + i) <= p90) enough++;
    expect(enough / people).toBeGreaterThan(0.88);
    expect(enough / people).toBeLessThan(0.92);
  });

  it('rise with what they promise, and draw together with more loads and a hand that is known', () => {
    const odds = needOdds(10, 6, USUAL_SPREAD);
    expect(odds.p50).toBeGreaterThan(9.5);
    expect(odds.p90).toBeGreaterThan(odds.p50);
    expect(odds.p95).toBeGreaterThan(odds.p90);
    const width = (loads: number, hand = USUAL_SPREAD.hand): number => {
      const { p50, p95 } = needOdds(1, loads, { ...USUAL_SPREAD, hand });
      return p95 / p50;
    };
    expect(width(40)).toBeLessThan(width(4));
    expect(width(40, 0.03)).toBeLessThan(width(40));
  });

  it('are the same every time, and drawn singly or at once of one mould', () => {
    expect(drawNeeds([5, 9], 50, USUAL_SPREAD)).toEqual(drawNeeds([5, 9], 50, USUAL_SPREAD));
    const [singly, atOnce] = [risingFactors(40, USUAL_SPREAD), risingFactors(41, USUAL_SPREAD)];
    for (const share of [0.1, 0.5, 0.9]) expect(quantile(atOnce, share) / quantile(singly, share)).toBeCloseTo(1, 1);
  });

  it('know the share that a limit serves', () => {
    const rising = Float64Array.of(1, 2, 3, 4);
    expect([0.5, 1, 2.5, 9].map((limit) => shareWithin(rising, limit))).toEqual([0, 0.25, 0.5, 1]);
    expect(quantile(rising, 0.5)).toBe(2);
  });
});
