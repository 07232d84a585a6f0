import { bisectRight } from 'd3-array';
import type { ThreadSpread } from '../work/index.ts';
import { Memory, normalQuantile, normalShare, seededRandom, stage } from '../measure/index.ts';

/** The standard normal distribution lies below this in nine cases of ten. */
export const Z90 = 1.2816;
/** How far hours differ before any record, as the standard deviation of the logarithm. */
const HOURS_SPREAD = 0.3;

export interface Odds {
  readonly p50: number;
  readonly p90: number;
  readonly p95: number;
}

/** Of more loads than this the sum is drawn as one normal number (central limit). */
const DRAWN_SINGLY = 40;
const SEED = 20;

/**
 * Draws how much more or less thread than planned is taken, as factors.
 * @param loads the number of loads of each colour
 * @param runs how often the piece is worked
 * @returns for each colour a factor for each run; in one run all colours share the hand
 */
export function drawNeeds(loads: readonly number[], runs: number, spread: ThreadSpread, seed = SEED): Float64Array[] {
  const random = seededRandom(seed);
  const factors = loads.map(() => new Float64Array(runs));
  const { load, unpicked } = spread;
  // Each load has a mean of one: what is lost to unpicking comes on top.
  const shift = (load * load) / 2;
  const one = (): number => Math.exp(load * random.normal() - shift) * (random.next() < unpicked ? 2 : 1);
  const mean = 1 + unpicked;
  const deviation = Math.sqrt(Math.exp(load * load) * (1 + 3 * unpicked) - mean * mean);
  for (let run = 0; run < runs; run++) {
    const hand = Math.exp(spread.hand * random.normal());
    loads.forEach((count, colour) => {
      let sum = 0;
      if (count > DRAWN_SINGLY) sum = count * mean + Math.sqrt(count) * deviation * random.normal();
      else for (let i = 0; i < count; i++) sum += one();
      factors[colour]![run] = count === 0 ? 0 : (hand * sum) / count;
    });
  }
  return factors;
}

/** The number of runs that settles the skeins to buy. */
const RUNS = 4000;

interface SpreadOfLoads {
  readonly loads: number;
  readonly spread: ThreadSpread;
}

export const RISING_FACTORS = stage<SpreadOfLoads>()('rising factors', ['loads', 'spread'], ({ loads, spread }) =>
  drawNeeds([loads], RUNS, spread)[0]!.sort(),
);

/** The factors of a colour by the number of its loads, rising: entry k of n is what does in k of n cases. */
export function risingFactors(loads: number, spread: ThreadSpread, memory = new Memory()): Float64Array {
  return memory.made(RISING_FACTORS, [], { loads, spread }, loads);
}

/** The value below which a share of rising numbers lies. */
export function quantile(rising: Float64Array, share: number): number {
  return rising[Math.min(rising.length - 1, Math.ceil(share * rising.length) - 1)] ?? 0;
}

/** The share of rising numbers that are at most a limit. */
export function shareWithin(rising: Float64Array, limit: number): number {
  return rising.length === 0 ? 1 : bisectRight(rising, limit) / rising.length;
}

/** How much of something (cuts, metres, skeins) will do in 50, 90 and 95 of 100 cases. */
export function needOdds(planned: number, loads: number, spread: ThreadSpread, memory = new Memory()): Odds {
  const factors = risingFactors(loads, spread, memory);
  return {
    p50: planned * quantile(factors, 0.5),
    p90: planned * quantile(factors, 0.9),
    p95: planned * quantile(factors, 0.95),
  };
}

/** The hours that are enough in a share of all cases: half of them take no more than the reckoned ones. */
export function hoursNeeded(hours: number, share: number): number {
  return hours * Math.exp(HOURS_SPREAD * normalQuantile(share));
}

/** In which share of all cases a piece takes no more than a number of hours. */
export function chanceWithin(hours: number, most: number): number {
  if (hours <= 0) return 1;
  return most <= 0 ? 0 : normalShare(Math.log(most / hours) / HOURS_SPREAD);
}

/** Hours as a range around the reckoned ones. */
export function hourOdds(hours: number): { p10: number; p50: number; p90: number } {
  const factor = Math.exp(Z90 * HOURS_SPREAD);
  return { p10: hours / factor, p50: hours, p90: hours * factor };
}
