import { describe, expect, it } from 'vitest';
import { normalQuantile, normalShare, normalShareWithin } from './index.ts';

/** Abramowitz and Stegun (1964), table 26.1, and the quantiles of table 26.5. */
const SHARES = [
  [0, 0.5],
  [0.5, 0.6914624613],
  [1, 0.8413447461],
  [1.5, 0.9331927987],
  [2, 0.9772498681],
  [3, 0.998650102],
] as const;
const QUANTILES = [
  [0.9, 1.2815515655],
  [0.95, 1.644853627],
  [0.975, 1.9599639845],
  [0.995, 2.5758293035],
] as const;

describe('the normal distribution', () => {
  it.each(SHARES)('has the tabulated share below %d, and the rest above', (z, share) => {
    expect(normalShare(z)).toBeCloseTo(share, 6);
    expect(normalShare(-z)).toBeCloseTo(1 - share, 6);
    expect(normalShareWithin(z)).toBeCloseTo(2 * share - 1, 6);
  });

  it.each(QUANTILES)('has %d of all below its tabulated quantile', (share, z) => {
    expect(normalQuantile(share)).toBeCloseTo(z, 5);
    expect(normalQuantile(1 - share)).toBeCloseTo(-z, 5);
  });
});
