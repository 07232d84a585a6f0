import { WORKING_LENGTH } from '../materials/index.ts';

/** How far people and days differ from what is planned, as standard deviations of the logarithm, and how often a load is lost. */
export interface ThreadSpread {
  /** One hand pulls tighter than another: shared by all of a piece. Smaller the more is known of the person. */
  readonly hand: number;
  /** One load goes further than another. */
  readonly load: number;
  /** The share of loads that are unpicked, and worked again. */
  readonly unpicked: number;
}

/** Of a person of whom nothing is recorded. Craft judgement. */
export const USUAL_SPREAD: ThreadSpread = { hand: 0.12, load: 0.15, unpicked: WORKING_LENGTH.unpicked };

/** How a person works, as shares of the usual: how wide her thread lies, how long her stitches are, how much thread they take. */
export interface OwnFactors {
  readonly width: number;
  readonly stitch: number;
  /** By the id of the stitch; `''` is for those of which nothing is known. */
  readonly thread: Readonly<Record<string, number>>;
  /** How surely the thread is known, as the standard deviation of its logarithm. */
  readonly handSpread: number;
}

/** The person's own hand where nothing was measured: as usual. */
export const USUAL_FACTORS: OwnFactors = { width: 1, stitch: 1, thread: {}, handSpread: USUAL_SPREAD.hand };

/** How much thread a person takes for a stitch, as a share of the usual. */
export function threadFactor({ thread }: OwnFactors, stitch: string): number {
  return thread[stitch] ?? thread[''] ?? 1;
}

/** How surely the thread of a piece is known, when this person works it. */
export function spreadOf({ handSpread }: OwnFactors): ThreadSpread {
  return { ...USUAL_SPREAD, hand: handSpread };
}
