import { valueOf } from '../measure/index.ts';
import type { StitchId } from '../stitches/index.ts';
import { stepSeconds } from '../thread/index.ts';
import type { WorkedStep } from './work.ts';

/** How far paces lie apart, as standard deviations of the logarithm: people, and one person in different stitches. */
const PACE = { hand: 0.3, stitch: 0.15 } as const;
/** How far single steps of one person lie apart: the same, with how likely each is before anything is known. Craft judgement. */
const STEADY = [
  { spread: 0.05, weight: 1.5 },
  { spread: 0.09, weight: 2 },
  { spread: 0.14, weight: 0.9 },
  { spread: 0.2, weight: 0.6 },
  { spread: 0.28, weight: 0.8 },
  { spread: 0.37, weight: 1.4 },
  { spread: 0.48, weight: 2.4 },
  { spread: 0.62, weight: 7 },
  { spread: 0.8, weight: 10 },
] as const;
/** Nobody is quicker than usual by more than this factor: a step that seems so was tapped later than it was done. */
const QUICKEST = 6;
/** A step further from the others than this many times their spread, and than this factor, was noted late or early: it tells nothing. */
const MISTAPPED = { spreads: 3.5, factor: 3 } as const;
/** A forgotten tap is likely: its step is put together with another even where the two are further from her pace by this factor. */
const TOGETHER = 1.6;
/** The median of distances from the middle, as a share of the standard deviation of a normal law. */
const MEDIAN_OF_NORMAL = 0.6745;

/** What is known of a stitch: its factor, how far it still may lie from the hand, and how much of it the hand decides. */
interface StitchPace {
  /** The mean of the logarithm, on the scale of mean times. */
  readonly log: number;
  readonly variance: number;
  readonly byHand: number;
}

/** A person's pace, if her steps lie so far apart. */
export interface PaceIfSteady {
  /** How likely that is, of all together 1. */
  readonly weight: number;
  /** How far her steps lie apart, as the standard deviation of the logarithm. */
  readonly spread: number;
  /** The logarithm of her hand in general, and its variance. */
  readonly hand: number;
  readonly variance: number;
  readonly stitches: ReadonlyMap<StitchId, StitchPace>;
}

/** A person's own pace: by how much longer than usual she takes. */
export interface Pace {
  readonly hand: number;
  readonly stitches: ReadonlyMap<StitchId, { readonly factor: number; readonly records: number }>;
  /** The same for each steadiness that she may have. */
  readonly ifSteady: readonly PaceIfSteady[];
}

/** What tells of her pace: the time of a step, or of some that were tapped together. */
interface Sample {
  readonly stitch: StitchId;
  readonly seconds: number;
  readonly usual: number;
}

/**
 * A person's own pace from the steps that she worked, drawn in towards the usual where there are few, and how steady it is. A normal model in two
 * levels on logarithms (Gelman et al., Bayesian Data Analysis, 3rd ed., 5.4); how far single steps lie apart is not known, but weighed on a grid by
 * how likely it makes what was seen (the same, 5.4 and 10.3).
 */
export function learnPace(done: readonly WorkedStep[]): Pace {
  const logs = new Map<StitchId, number[]>();
  for (const { stitch, log } of telling(samplesOf(done))) logs.set(stitch, [...(logs.get(stitch) ?? []), log]);
  const given = STEADY.map(({ spread, weight }) => paceIf(spread, logs, Math.log(weight)));
  const most = Math.max(...given.map(({ likely }) => likely));
  const weights = given.map(({ likely }) => Math.exp(likely - most));
  const all = weights.reduce((sum, weight) => sum + weight, 0);
  const ifSteady = given.map(({ pace }, i): PaceIfSteady => ({ ...pace, weight: weights[i]! / all }));
  const mean = (of: (pace: PaceIfSteady) => number): number =>
    ifSteady.reduce((sum, pace) => sum + pace.weight * of(pace), 0);
  return {
    hand: Math.exp(mean(({ hand }) => hand)),
    stitches: new Map(
      [...logs].map(([stitch, { length }]) => [
        stitch,
        { factor: Math.exp(mean(({ stitches }) => valueOf(stitches, stitch).log)), records: length },
      ]),
    ),
    ifSteady,
  };
}

/** By how much longer than usual she takes in a stitch. */
export function paceIn(pace: Pace, stitch: StitchId): number {
  return pace.stitches.get(stitch)?.factor ?? pace.hand;
}

/** What is to be thought of her pace if her steps lie so far apart, and how likely that makes what was seen (its logarithm, up to a constant). */
function paceIf(
  spread: number,
  logs: ReadonlyMap<StitchId, readonly number[]>,
  before: number,
): { pace: Omit<PaceIfSteady, 'weight'>; likely: number } {
  const step = spread ** 2;
  let [certainty, sum, likely, between] = [1 / PACE.hand ** 2, 0, before, 0];
  const groups = [...logs].map(([stitch, own]) => {
    const logMean = own.reduce((all, log) => all + log, 0) / own.length;
    const squares = own.reduce((all, log) => all + (log - logMean) ** 2, 0);
    // The mean of logarithms lies below that of times by half a variance.
    const mean = logMean + step / 2;
    const variance = PACE.stitch ** 2 + step / own.length;
    certainty += 1 / variance;
    sum += mean / variance;
    between += mean ** 2 / variance;
    likely -= (own.length - 1) * Math.log(spread) + squares / (2 * step) + Math.log(variance) / 2;
    return { stitch, mean, drawn: PACE.stitch ** 2 / variance };
  });
  const hand = sum / certainty;
  likely -= Math.log(certainty) / 2 + (between - hand ** 2 * certainty) / 2;
  const stitches = new Map(
    groups.map(({ stitch, mean, drawn }): [StitchId, StitchPace] => [
      stitch,
      { log: hand + drawn * (mean - hand), variance: PACE.stitch ** 2 * (1 - drawn), byHand: 1 - drawn },
    ]),
  );
  return { pace: { spread, hand, variance: 1 / certainty, stitches }, likely };
}

/** What is known of a stitch that she has not worked yet: as her hand in general. */
export function stitchPace({ hand, stitches }: PaceIfSteady, stitch: StitchId): StitchPace {
  return stitches.get(stitch) ?? { log: hand, variance: PACE.stitch ** 2, byHand: 1 };
}

/**
 * The times of steps. A step that was tapped sooner after the tap before than anyone can stitch was done earlier, and its tap forgotten. Its time is
 * contained in the time of the step that was tapped in its place, or of the tap before; the two are put together where that is plausible. Otherwise the
 * step says nothing of her pace: it was only recorded here.
 */
function samplesOf(done: readonly WorkedStep[]): readonly Sample[] {
  const timed: (Sample & Tapped)[] = [];
  const quick: Tapped[] = [];
  done.forEach(({ step, work, seconds, place }, tap) => {
    const usual = stepSeconds(work);
    if (seconds === null || !(usual > 0)) return;
    if (seconds < usual / QUICKEST) quick.push({ usual, place, tap });
    else timed.push({ stitch: step.stitch, seconds, usual, place, tap });
  });
  if (quick.length === 0) return timed;
  const middleOf = (samples: readonly Sample[]): number =>
    median(samples.map(({ seconds, usual }) => Math.log(seconds / usual)));
  // What the usual pace is shows better once most of it is put together.
  return togetherBy(middleOf(togetherBy(middleOf(timed), timed, quick)), timed, quick);
}

interface Tapped {
  readonly usual: number;
  readonly place: number;
  readonly tap: number;
}

/** @param middle the logarithm of her time over the usual, as far as it is known */
function togetherBy(
  middle: number,
  given: readonly (Sample & Tapped)[],
  quick: readonly Tapped[],
): readonly (Sample & Tapped)[] {
  const timed = [...given];
  const byPlace = [...timed.keys()].sort((a, b) => timed[a]!.place - timed[b]!.place);
  for (const { usual, place, tap } of quick) {
    const instead = byPlace.find((i) => timed[i]!.place > place && timed[i]!.tap < tap);
    const before = timed.findLastIndex((own) => own.tap < tap);
    const gains = [instead ?? -1, before].map((i) => {
      const own = timed[i];
      if (!own) return { i, gain: -Infinity };
      const apart = (whole: number): number => Math.abs(Math.log(own.seconds / whole) - middle);
      return { i, gain: apart(own.usual) - apart(own.usual + usual) };
    });
    const { i, gain } = gains[0]!.gain >= gains[1]!.gain ? gains[0]! : gains[1]!;
    if (gain > -Math.log(TOGETHER)) timed[i] = { ...timed[i]!, usual: timed[i]!.usual + usual };
  }
  return timed;
}

/** Samples as logarithms of her time over the usual, without those that were noted far too late or too early. */
function telling(samples: readonly Sample[]): { stitch: StitchId; log: number }[] {
  const logs = samples.map(({ stitch, seconds, usual }) => ({ stitch, log: Math.log(seconds / usual) }));
  const middle = median(logs.map(({ log }) => log));
  const spread = median(logs.map(({ log }) => Math.abs(log - middle))) / MEDIAN_OF_NORMAL;
  const farthest = Math.max(Math.log(MISTAPPED.factor), MISTAPPED.spreads * spread);
  return logs.filter(({ log }) => Math.abs(log - middle) <= farthest);
}

function median(values: readonly number[]): number {
  return [...values].sort((a, b) => a - b)[values.length >> 1] ?? 0;
}
