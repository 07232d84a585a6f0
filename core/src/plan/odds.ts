import { WORKING_LENGTH } from '../materials/index.ts';

/** Quantiles of the standard normal distribution. */
const Z = { p50: 0, p90: 1.2816, p95: 1.6449 } as const;

/** How far people and days differ, as the standard deviation of the logarithm. */
const SPREAD = {
  /** One hand pulls tighter than another: shared by all of a piece. */
  hand: 0.08,
  /** Unpicked, dropped or knotted lengths: each load for itself. */
  load: 0.2,
  /** Hours, before any record. */
  hours: 0.3,
} as const;

export interface Odds {
  readonly p50: number;
  readonly p90: number;
  readonly p95: number;
}

/**
 * How many cuts will do in 50, 90 and 95 of 100 cases: what is planned, what is unpicked, and a log-normal spread that
 * is narrower the more loads there are.
 */
export function cutOdds(cuts: number, loads: number): Odds {
  const spread = Math.sqrt(SPREAD.hand ** 2 + SPREAD.load ** 2 / Math.max(1, loads));
  const quantile = (z: number): number => cuts * (1 + WORKING_LENGTH.unpicked) * Math.exp(z * spread);
  return { p50: quantile(Z.p50), p90: quantile(Z.p90), p95: quantile(Z.p95) };
}

/** Hours as a range around the reckoned ones. */
export function hourOdds(hours: number): { p10: number; p50: number; p90: number } {
  const factor = Math.exp(Z.p90 * SPREAD.hours);
  return { p10: hours / factor, p50: hours, p90: hours * factor };
}
