import { stopMm } from '../work/index.ts';
import { LOST_MM, needleName, threadOfStep, type Step } from '../order/index.ts';
import { Memory, valueOf } from '../measure/index.ts';
import type { PlanInput } from '../piece/index.ts';
import { hoopMoves, type Plan } from './plan.ts';
import { sittingsOf } from './sittings.ts';
import { loadSettings, stepSeconds } from './needs.ts';
import { FOLDED_STRANDS, WORKING_LENGTH } from '../materials/index.ts';
import { firstPlace, lastPlace } from '../stitches/index.ts';

/** What an order of work costs. */
export interface OrderTotals {
  /** How often a needle is threaded: with new lengths, and with rests of lengths. */
  readonly threadings: number;
  /** From one step to the next: another colour, another needle in hand, another place of the hoop. */
  readonly colourChanges: number;
  readonly needleChanges: number;
  readonly hoopMoves: number;
  readonly carriedMm: number;
  /** Metres of the whole thread that are cut. */
  readonly wholeM: number;
  readonly seconds: number;
  readonly sittings: number;
  /** When the first motif is whole. */
  readonly firstMotifSeconds: number;
}

export function orderTotals(piece: PlanInput, plan: Plan): OrderTotals {
  const { order, work, colours, totals } = plan;
  const changes = (pick: (step: Step) => string): number =>
    order.filter((step, i) => i > 0 && pick(step) !== pick(order[i - 1]!)).length;
  const sum = (pick: (own: NonNullable<Plan['work'][number]>) => number): number =>
    work.reduce((all, own) => all + (own ? pick(own) : 0), 0);
  return {
    threadings: sum(({ loads, rethreadings }) => loads + rethreadings),
    colourChanges: changes(({ colour }) => colour),
    needleChanges: changes(({ needle }) => needleName(needle)),
    hoopMoves: hoopMoves(order),
    carriedMm: sum(({ carriedMm }) => carriedMm),
    wholeM: colours.reduce((all, { wholeM }) => all + wholeM, 0),
    seconds: totals.hours.p50 * 3600,
    sittings: sittingsOf(piece, plan).length,
    firstMotifSeconds: firstMotifSeconds(plan),
  };
}

function firstMotifSeconds({ order, work }: Plan): number {
  const left = new Map<string, number>();
  for (const { motif } of order) left.set(motif, (left.get(motif) ?? 0) + 1);
  let seconds = 0;
  for (const [i, { motif }] of order.entries()) {
    seconds += stepSeconds(work[i]);
    left.set(motif, valueOf(left, motif) - 1);
    if (left.get(motif) === 0) return seconds;
  }
  return seconds;
}

/** What no order can do with less than. */
export interface OrderBound {
  readonly threadings: number;
  readonly colourChanges: number;
  readonly hoopMoves: number;
}

/**
 * The least that any order needs. Every threading of its own (colour, thread, strands, needle) takes as many lengths as its thread fills, where
 * each gap that is too wide to carry the thread over costs a fastening off, or a new length.
 */
export function orderBound(piece: PlanInput, { order, parts }: Plan): OrderBound {
  const memory = new Memory();
  const byId = new Map(parts.map((planned) => [planned.part.id, planned]));
  const bySetUp = new Map<string, Step[]>();
  for (const step of order) bySetUp.set(step.setUp, [...(bySetUp.get(step.setUp) ?? []), step]);
  const { cutMm, startMm, travelMm } = loadSettings(piece);
  let threadings = 0;
  for (const steps of bySetUp.values()) {
    const takenMm = steps[0]!.strands === FOLDED_STRANDS ? WORKING_LENGTH.foldedCutMm / 2 : cutMm;
    const stops = steps.map(({ part, layer }) => stopMm(valueOf(byId, part).passes[layer]!.stitch));
    const usableMm = Math.max(1, takenMm - startMm - Math.min(...stops));
    const ends: Stretch[] = [];
    let usedMm = 0;
    for (const step of steps) {
      const thread = threadOfStep(byId.get(step.part), step, piece.hoop, piece.positions, memory)!;
      usedMm += thread.usedMm.at(-1) ?? 0;
      const bounds = [0, ...thread.breaks, thread.usedMm.length];
      for (let i = 0; i + 1 < bounds.length; i++) {
        if (bounds[i]! >= bounds[i + 1]!) continue;
        const before = i > 0 ? thread.usedMm[bounds[i]! - 1]! : 0;
        const ownMm = thread.usedMm[bounds[i + 1]! - 1]! - before;
        ends.push({
          usedMm: ownMm,
          from: firstPlace(thread.path, bounds[i]!),
          to: lastPlace(thread.path, bounds[i + 1]!),
        });
      }
    }
    const islands = islandsOf(ends, travelMm);
    const gaps = islands.length - 1;
    // Lengths that begin within an island bridge no gap.
    const within = islands.reduce((sum, mm) => sum + Math.max(0, Math.ceil(mm / usableMm - 1e-9) - 1), 0);
    let lengths = 1;
    // A gap is bridged by beginning a new length, or it costs some of the one in hand.
    while (usedMm + Math.max(0, gaps - (lengths - within) + 1) * LOST_MM > lengths * usableMm + 1e-6) lengths++;
    threadings += lengths;
  }
  return {
    threadings,
    colourChanges: Math.max(0, new Set(order.map(({ colour }) => colour)).size - 1),
    hoopMoves: Math.max(0, new Set(order.map(({ position }) => position)).size - 1),
  };
}

interface Stretch {
  readonly usedMm: number;
  readonly from: readonly [x: number, y: number];
  readonly to: readonly [x: number, y: number];
}

/** The groups into which stretches of thread fall, where thread is carried no further than `nearMm` from the end of one to the beginning of another: what each takes, mm. */
function islandsOf(stretches: readonly Stretch[], nearMm: number): number[] {
  const root = stretches.map((_, i) => i);
  const find = (i: number): number => {
    let at = i;
    while (root[at] !== at) at = root[at] = root[root[at]!]!;
    return at;
  };
  const isNear = (a: Stretch, b: Stretch): boolean => Math.hypot(a.to[0] - b.from[0], a.to[1] - b.from[1]) <= nearMm;
  const byX = stretches.map((_, i) => i).sort((a, b) => leftOf(stretches[a]!) - leftOf(stretches[b]!));
  const widest = Math.max(0, ...stretches.map(({ from, to }) => Math.abs(from[0] - to[0])));
  byX.forEach((one, at) => {
    for (let k = at + 1; k < byX.length; k++) {
      const other = byX[k]!;
      if (leftOf(stretches[other]!) - leftOf(stretches[one]!) > nearMm + widest) break;
      const [a, b] = [stretches[one]!, stretches[other]!];
      if (isNear(a, b) || isNear(b, a)) root[find(one)] = find(other);
    }
  });
  const used = new Map<number, number>();
  stretches.forEach(({ usedMm }, i) => used.set(find(i), (used.get(find(i)) ?? 0) + usedMm));
  return [...used.values()];
}

function leftOf({ from, to }: Stretch): number {
  return Math.min(from[0], to[0]);
}
