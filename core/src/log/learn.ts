import { USUAL_SPREAD, type OwnFactors } from '../work/index.ts';
import type { ThreadUse } from '../piece/index.ts';

/** What is taken for granted before anything is recorded, as standard deviations of the logarithm. Craft judgement. */
const BEFORE = {
  /** How far one person's hand lies from the usual. */
  hand: USUAL_SPREAD.hand,
  /** How far her hand in one stitch lies from her hand in all. */
  stitch: 0.1,
  /** How far a single record lies from her hand: loads differ, remainders are measured roughly. */
  record: 0.12,
} as const;

/** What was used is asked about where it differs from the usual by this factor, either way. */
const DOUBTFUL_FACTOR = 2.5;

/** What has been learned of a stitch. */
export interface LearnedStitch {
  readonly stitch: ThreadUse['stitch'];
  readonly records: number;
  /** Thread taken, as a share of the usual: the mean of what was recorded, and what is made of it. */
  readonly recorded: number;
  readonly factor: number;
}

export interface Learned {
  readonly records: number;
  readonly thread: OwnFactors['thread'];
  readonly handSpread: number;
  readonly stitches: readonly LearnedStitch[];
}

/**
 * A person's own factors from what she truly used, drawn in towards the usual where there are few records. Records of a stitch
 * tell of the hand in that stitch, all together of the hand in general: a normal model in two levels with known variances,
 * on logarithms (Gelman et al., Bayesian Data Analysis, 3rd ed., 5.4).
 */
export function learnHand(uses: readonly ThreadUse[]): Learned {
  const byStitch = new Map<ThreadUse['stitch'], number[]>();
  for (const { stitch, usedMm, usualMm } of uses) {
    const ratios = byStitch.get(stitch) ?? [];
    byStitch.set(stitch, ratios);
    ratios.push(Math.log(usedMm / usualMm));
  }
  const groups = [...byStitch].map(([stitch, ratios]) => ({
    stitch,
    records: ratios.length,
    mean: ratios.reduce((sum, ratio) => sum + ratio, 0) / ratios.length,
    weight: 1 / (BEFORE.stitch ** 2 + BEFORE.record ** 2 / ratios.length),
  }));
  const certainty = groups.reduce((sum, { weight }) => sum + weight, 1 / BEFORE.hand ** 2);
  const hand = groups.reduce((sum, { weight, mean }) => sum + weight * mean, 0) / certainty;
  const stitches = groups.map(({ stitch, records, mean }): LearnedStitch => {
    const share = BEFORE.stitch ** 2 / (BEFORE.stitch ** 2 + BEFORE.record ** 2 / records);
    return { stitch, records, recorded: Math.exp(mean), factor: Math.exp(hand + share * (mean - hand)) };
  });
  return {
    records: uses.length,
    thread: { '': Math.exp(hand), ...Object.fromEntries(stitches.map(({ stitch, factor }) => [stitch, factor])) },
    handSpread: Math.sqrt(1 / certainty),
    stitches: stitches.sort((a, b) => b.records - a.records),
  };
}

/** Why a figure is to be asked about before it is learned from; null where it is as expected. */
export type Doubt =
  | { readonly type: 'unusual'; readonly factor: number }
  | { readonly type: 'more-than-owned'; readonly usedM: number; readonly ownedM: number };

/**
 * @param ownedM metres of the needle thread that can be had from what is owned of its colour; null: not known
 * @param before what was noted of the same colour before
 */
export function doubtOf(
  use: Pick<ThreadUse, 'usedMm' | 'usualMm'>,
  ownedM: number | null,
  before: readonly Pick<ThreadUse, 'usedMm'>[] = [],
): Doubt | null {
  const usedM = (use.usedMm + before.reduce((sum, { usedMm }) => sum + usedMm, 0)) / 1000;
  if (ownedM !== null && usedM > ownedM) return { type: 'more-than-owned', usedM, ownedM };
  const factor = use.usedMm / use.usualMm;
  return factor > DOUBTFUL_FACTOR || factor < 1 / DOUBTFUL_FACTOR ? { type: 'unusual', factor } : null;
}

/** Records that are learned from: those that are as expected, or that the person said are right. */
export function trusted(uses: readonly ThreadUse[], since: string | null = null): ThreadUse[] {
  return uses.filter((use) => (since === null || use.at >= since) && (use.sure || doubtOf(use, null) === null));
}
