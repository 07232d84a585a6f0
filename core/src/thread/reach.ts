import type { Plan } from './plan.ts';
import { shadeNeeds, type ShadeNeed } from './shadeNeeds.ts';
import { risingFactors, shareWithin, quantile } from './odds.ts';
import type { PlannedPart, ThreadSpread } from '../work/index.ts';
import { colourNeeds } from './needs.ts';
import { Memory } from '../measure/index.ts';
import { entriesOf, freeM, threadKind, type ThreadBox } from '../materials/index.ts';
import { type PlanInput } from '../piece/index.ts';

/** What is had is enough where it does in this share of cases. */
export const ENOUGH = 0.9;
/** Metres of the whole thread that the person owns for a need, by the need's id; a need that is not named is not owned at all. */
export type Owned = Readonly<Record<string, number>>;

/** Whether what is owned of a shade reaches for what is left to do. */
export interface Reach {
  readonly need: ShadeNeed;
  readonly ownedM: number;
  readonly lots: readonly { readonly lot: string; readonly metres: number }[];
  /** Some of it is dyed by hand: no more of it can be matched. */
  readonly handDyed: boolean;
  /** In how many of 100 cases it reaches, 0–1. */
  readonly odds: number;
  /** Metres that are missing for nine cases in ten; nought: none. */
  readonly shortM: number;
}

/** Parts that are still to be worked. */
export function partsToDo(plan: Plan, done: ReadonlySet<string>): PlannedPart[] {
  return plan.parts.filter(({ part }) => !done.has(part.id));
}

/**
 * For each shade of a piece, what is left of it against what is left to do.
 * @param done ids of the parts that are worked
 */
export function willReach(
  piece: PlanInput,
  plan: Plan,
  done: ReadonlySet<string>,
  box: ThreadBox,
  memory = new Memory(),
): Reach[] {
  const { order, spread } = plan;
  const needs = shadeNeeds(piece, colourNeeds(piece, partsToDo(plan, done), order, spread, memory), spread, memory);
  return needs.map((need): Reach => {
    const entries = entriesOf(box, need.shade, need.thread).filter(({ lot }) => need.lot === null || lot === need.lot);
    const byLot = new Map<string, number>();
    for (const entry of entries) byLot.set(entry.lot, (byLot.get(entry.lot) ?? 0) + freeM(entry, piece.id));
    const lots = [...byLot].map(([lot, metres]) => ({ lot, metres })).sort((a, b) => b.metres - a.metres);
    const ownedM = lots.reduce((sum, { metres }) => sum + metres, 0);
    const factors = risingFactors(need.loads, spread, memory);
    const enough = quantile(factors, ENOUGH);
    return {
      need,
      ownedM,
      lots,
      handDyed: entries.some(({ handDyed }) => handDyed),
      odds: shareWithin(factors, ownedM / need.wholeM),
      shortM: Math.max(0, need.wholeM * enough - ownedM),
    };
  });
}

/** Nothing takes more skeins of one shade than this. */
const MOST_SKEINS = 200;

/** The fewest skeins that, with what is owned, do in nine cases of ten. */
export function skeinsToBuy({ need, ownedM, odds }: Reach, spread: ThreadSpread, memory = new Memory()): number {
  if (odds >= ENOUGH) return 0;
  const { putUpM } = threadKind(need.thread);
  const factors = risingFactors(need.loads, spread, memory);
  let skeins = 1;
  while (skeins < MOST_SKEINS && shareWithin(factors, (ownedM + skeins * putUpM) / need.wholeM) < ENOUGH) skeins++;
  return skeins;
}

/** How many skeins are still to buy for all shades of a piece. */
export function skeinsToBuyInAll(reaches: readonly Reach[], spread: ThreadSpread, memory = new Memory()): number {
  return reaches.reduce((sum, reach) => sum + skeinsToBuy(reach, spread, memory), 0);
}

const NOTHING_DONE: ReadonlySet<string> = new Set([]);

/** Metres that are owned for each need of a plan, where any are: what its findings are made from. */
export function ownedFor(piece: PlanInput, plan: Plan, box: ThreadBox, memory = new Memory()): Owned {
  const owned: Record<string, number> = {};
  for (const { need, ownedM } of willReach(piece, plan, NOTHING_DONE, box, memory)) {
    if (ownedM === 0) continue;
    const mine = plan.colours.filter(({ colour, thread }) => thread === need.thread && need.colours.includes(colour));
    const all = mine.reduce((sum, { wholeM }) => sum + wholeM, 0);
    for (const { id, wholeM } of mine) owned[id] = all > 0 ? (ownedM * wholeM) / all : ownedM;
  }
  return owned;
}
