import { threadFactor, USUAL_FACTORS, USUAL_SPREAD } from '../work/index.ts';
import { describe, expect, it } from 'vitest';
import { seededRandom, type Random } from '../measure/index.ts';
import type { ThreadUse } from '../piece/index.ts';
import type { StitchId } from '../stitches/index.ts';
import { doubtOf, learnHand, trusted } from './index.ts';

const STITCHES: readonly StitchId[] = ['satin', 'stem', 'split-fill', 'chain', 'french'];

const use = (stitch: StitchId, factor: number, at = '2026-03-01T10:00:00Z', sure = false): ThreadUse => ({
  id: 'u',
  type: 'thread-used',
  part: 'p',
  colour: 'c1',
  stitch,
  strands: 2,
  usualMm: 800,
  usedMm: 800 * factor,
  sure,
  at,
});

/** A simulated embroiderer: her hand in each stitch, and what she notes. */
function embroiderer(random: Random): { truly: (stitch: StitchId) => number; note: (stitch: StitchId) => ThreadUse } {
  const hand = USUAL_SPREAD.hand * random.normal();
  const own = new Map(STITCHES.map((stitch) => [stitch, Math.exp(hand + 0.05 * random.normal())]));
  const truly = (stitch: StitchId): number => own.get(stitch)!;
  return { truly, note: (stitch) => use(stitch, truly(stitch) * Math.exp(0.1 * random.normal())) };
}

const median = (values: number[]): number => values.sort((a, b) => a - b)[values.length >> 1]!;

describe('learning from what was used', () => {
  it('more than halves the median error after ten parts', () => {
    const random = seededRandom(11);
    const [before, after]: [number[], number[]] = [[], []];
    for (let person = 0; person < 800; person++) {
      const { truly, note } = embroiderer(random);
      const pick = (): StitchId => STITCHES[Math.floor(random.next() * STITCHES.length)]!;
      const learned = learnHand(Array.from({ length: 10 }, () => note(pick())));
      const next = pick();
      const hand = { ...USUAL_FACTORS, thread: learned.thread };
      before.push(Math.abs(Math.log(truly(next))));
      after.push(Math.abs(Math.log(truly(next) / threadFactor(hand, next))));
    }
    expect(median(after)).toBeLessThan(median(before) / 2);
  });

  it('knows nothing without records, and draws few records in towards the usual', () => {
    expect(learnHand([])).toMatchObject({ records: 0, thread: { '': 1 }, stitches: [] });
    expect(learnHand([]).handSpread).toBeCloseTo(USUAL_SPREAD.hand, 6);
    const [one, many] = [1, 60].map((count) => learnHand(Array.from({ length: count }, () => use('satin', 1.3))));
    expect(one!.thread['satin']).toBeGreaterThan(1);
    expect(one!.thread['satin']).toBeLessThan(many!.thread['satin']!);
    expect(many!.thread['satin']).toBeCloseTo(1.3, 1);
    // Of a stitch that was never noted the hand in general tells something, but less.
    expect(many!.thread['']).toBeGreaterThan(1);
    expect(many!.thread['']).toBeLessThan(many!.thread['satin']!);
    expect(many!.handSpread).toBeLessThan(one!.handSpread);
  });

  it('agrees with weighing every hand on a fine grid', () => {
    const uses = [use('satin', 1.2), use('satin', 1.1), use('chain', 0.9), use('stem', 1.3)];
    const density = (x: number, spread: number): number => Math.exp(-0.5 * (x / spread) ** 2) / spread;
    let [weight, sum] = [0, 0];
    for (let hand = -0.8; hand <= 0.8; hand += 0.002) {
      let p = density(hand, USUAL_SPREAD.hand);
      for (const stitch of ['satin', 'chain', 'stem']) {
        let inner = 0;
        const noted = uses.filter((entry) => entry.stitch === stitch).map((entry) => Math.log(entry.usedMm / 800));
        for (let own = -0.5; own <= 0.5; own += 0.01) {
          inner += noted.reduce((q, y) => q * density(y - hand - own, 0.12), density(own, 0.1));
        }
        p *= inner;
      }
      weight += p;
      sum += p * hand;
    }
    expect(Math.log(learnHand(uses).thread['']!)).toBeCloseTo(sum / weight, 3);
  });

  it('asks about what cannot be, and learns from it only when told that it is right', () => {
    expect(doubtOf(use('satin', 1.2), null)).toBeNull();
    expect(doubtOf(use('satin', 4), null)).toMatchObject({ type: 'unusual' });
    expect(doubtOf(use('satin', 0.1), null)).toMatchObject({ type: 'unusual' });
    expect(doubtOf(use('satin', 1), 1, [use('satin', 1)])).toMatchObject({ type: 'more-than-owned', ownedM: 1 });
    const noted = [
      use('satin', 4),
      use('satin', 4, '2026-03-01T10:00:00Z', true),
      use('satin', 1.1, '2025-01-01T10:00:00Z'),
    ];
    expect(trusted(noted)).toHaveLength(2);
    expect(trusted(noted, '2026-01-01T10:00:00Z')).toHaveLength(1);
  });
});
