import type { WorkOrder } from '../order/index.ts';
import type { PlanInput } from '../piece/index.ts';
import { stopMm, type PlannedPart } from '../work/index.ts';
import { needleRuns, type NeedleRun } from './needs.ts';

/** What a remainder on the needle can still do of one part. */
export interface NeedleReach {
  readonly part: string;
  readonly stitch: NeedleRun['pass']['stitch'];
  /** What the rest of the part takes, mm of needle thread. */
  readonly needMm: number;
  /** The share of it that the remainder works, 0–1; 1: it can be finished. */
  readonly share: number;
  /** Whole stitches of it. */
  readonly stitches: number;
}

/** What to do with what is left on the needle. */
export interface NeedleAnswer {
  /** Parts that are still to be worked in this colour and strand count, those that can be finished first, largest first. */
  readonly reaches: readonly NeedleReach[];
  /** Whether nothing can be finished any more and hardly anything begun: fasten off now. */
  readonly fastenOff: boolean;
  /** What must be left to fasten off, mm. */
  readonly keepMm: number;
}

/** Less than this share of a part is not worth beginning with a remainder. */
const WORTH_BEGINNING = 0.15;

/**
 * Which parts the thread on the needle can still finish.
 * @param toDo the parts that are still to be worked
 * @param strands how many are on the needle
 * @param leftMm from the cloth to the end of the thread
 */
export function onTheNeedle(
  piece: PlanInput,
  toDo: readonly PlannedPart[],
  order: WorkOrder,
  colourId: string,
  strands: number,
  leftMm: number,
): NeedleAnswer {
  const runs = needleRuns(piece, toDo, order)
    .filter(({ colour, run }) => colour === colourId && run.pass.strands === strands && run.usedMm.length > 0)
    .map(({ run }) => run);
  const keepMm = runs.length > 0 ? Math.min(...runs.map(({ pass }) => stopMm(pass.stitch))) : stopMm('back');
  const reaches = runs.map((run): NeedleReach => {
    const { usedMm, pass, part } = run;
    const canUse = Math.max(0, leftMm - stopMm(pass.stitch));
    let stitches = usedMm.findIndex((used) => used > canUse);
    if (stitches < 0) stitches = usedMm.length;
    return { part, stitch: pass.stitch, needMm: usedMm.at(-1)!, share: stitches / usedMm.length, stitches };
  });
  reaches.sort(
    (a, b) =>
      Number(b.share === 1) - Number(a.share === 1) || (b.share === 1 ? b.needMm - a.needMm : b.share - a.share),
  );
  const best = reaches[0];
  return { reaches, keepMm, fastenOff: !best || best.share < WORTH_BEGINNING };
}
