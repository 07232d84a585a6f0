import { colourPairs, mendPair, Planner, remediesFor, varyPalette, type Workings } from '@junctura/core/advice';
import { finishPlan } from '@junctura/core/finish';
import { findPositions } from '@junctura/core/order';
import { applyEdit, planInput, type Piece } from '@junctura/core/piece';
import { proposalsFor } from '@junctura/core/propose';
import { drawNeeds, orderWays, savings, willReach, type OrderWay, type Reach } from '@junctura/core/thread';
import { spreadOf, type OwnFactors } from '@junctura/core/work';
import type { JobInput, JobOutput, JobProgress, PlanProgress } from '../jobs.ts';
import { paintedPicturesOf } from './learning.ts';
import { NewsWriter, type PlanNews } from '../planNews.ts';

/** The planner of the piece that is open: what it remembers serves all that is asked about that. */
export const planner = new Planner();
const writer = new NewsWriter();

/** How far it is is told no more often than this, ms. */
const TELL_EVERY_MS = 100;

export async function plan(
  { piece, factors }: JobInput<'plan'>,
  tell: (progress: PlanProgress) => void,
): Promise<PlanNews> {
  const pictures = await paintedPicturesOf(piece);
  const coarse = planner.paintCoarsely(piece, factors, pictures);
  if (coarse.length > 0) tell({ coarse });
  let told = performance.now();
  const tellNow = (share: number): void => {
    const now = performance.now();
    if (now - told < TELL_EVERY_MS) return;
    told = now;
    tell({ share });
  };
  const first = (workings: Workings): void => tell({ first: writer.write(workings) });
  return writer.write(planner.plan(piece, factors, { pictures, tell: tellNow, first }));
}

/** The workings of a piece; what was planned of it before is not planned anew. */
export async function workingsOf({ piece, factors }: { piece: Piece; factors: OwnFactors }): Promise<Workings> {
  return planner.plan(planInput(piece), factors, { pictures: await paintedPicturesOf(piece) });
}

export async function remedies(
  input: JobInput<'remedies'>,
  tell: (progress: JobProgress<'remedies'>) => void,
): Promise<null> {
  const { plan: planned } = await workingsOf(input);
  input.findings.forEach((finding, index) =>
    tell({ index, remedies: remediesFor(input.piece, planned, finding, planner.memory) }),
  );
  return null;
}

export async function proposals({ parts, ...input }: JobInput<'proposals'>): Promise<JobOutput<'proposals'>> {
  return proposalsFor(input.piece, (await workingsOf(input)).plan.parts, parts);
}

export async function positions(input: JobInput<'positions'>): Promise<JobOutput<'positions'>> {
  return findPositions((await workingsOf(input)).plan.parts, input.hoop);
}

export async function compareOrders(
  input: JobInput<'orderWays'>,
  tell: (way: OrderWay) => void,
): Promise<readonly OrderWay[]> {
  return orderWays(planInput(input.piece), (await workingsOf(input)).plan, tell);
}

export async function mend({
  pair,
  shades,
  wantsLightness,
  ...input
}: JobInput<'mendPair'>): Promise<JobOutput<'mendPair'>> {
  return mendPair(input.piece, colourPairs((await workingsOf(input)).plan, planner.memory), pair, shades, {
    wantsLightness,
  });
}

export async function vary({ shades, ...input }: JobInput<'varyPalette'>): Promise<JobOutput<'varyPalette'>> {
  return varyPalette(input.piece, colourPairs((await workingsOf(input)).plan, planner.memory), shades);
}

export async function finish(input: JobInput<'finish'>): Promise<JobOutput<'finish'>> {
  return finishPlan(input.piece, (await workingsOf(input)).plan, input.factors, planner.memory);
}

export function odds({ needs, runs, factors }: JobInput<'odds'>): number {
  const loads = needs.map((need) => need.loads);
  const drawn = drawNeeds(loads, runs, spreadOf(factors));
  let enough = 0;
  for (let run = 0; run < runs; run++) {
    if (needs.every(({ share }, i) => drawn[i]![run]! <= share)) enough++;
  }
  return enough / runs;
}

const keyOf = ({ need }: Reach): string => `${need.shade.range} ${need.shade.code} ${need.lot ?? ''}`;

export async function thriftier({ done, box, shade, ...input }: JobInput<'savings'>): Promise<JobOutput<'savings'>> {
  const { piece, factors } = input;
  const pictures = await paintedPicturesOf(piece);
  // A planner of its own: what is tried here is not what the page has.
  const trials = new Planner();
  const planned = trials.plan(planInput(piece), factors, { pictures }).plan;
  const reach = willReach(piece, planned, done, box).find((entry) => keyOf(entry) === shade);
  if (!reach) return [];
  return savings(piece, planned, done, reach, box, (edit) => {
    const outcome = applyEdit(piece, edit);
    if (!outcome.ok) throw new Error(outcome.problem);
    return { piece: outcome.value, plan: trials.plan(planInput(outcome.value), factors, { pictures }).plan };
  });
}
