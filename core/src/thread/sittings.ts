import type { PlanInput } from '../piece/index.ts';
import { SECONDS } from '../materials/index.ts';
import type { Plan } from './plan.ts';

/** What of a step is worked in one sitting. */
export interface SittingStep {
  /** Its place in the order of work. */
  readonly step: number;
  /** Which share of it, 0–1. */
  readonly from: number;
  readonly to: number;
  readonly seconds: number;
}

/** An evening's work, from one stop to the next. */
export interface Sitting {
  /** Counted from 1. */
  readonly number: number;
  readonly seconds: number;
  readonly steps: readonly SittingStep[];
  /** The lengths that are begun in it: the need, and their numbers among its lengths. */
  readonly lengths: readonly { readonly need: string; readonly loads: readonly number[] }[];
}

/** A sitting ends within this of the person's own length, as a share of it, where there is a place to stop. */
export const SITTING_SLACK = 0.15;

/** What is worked without a place to stop: one length of thread in one step. */
interface Stretch {
  readonly step: number;
  readonly from: number;
  readonly to: number;
  readonly seconds: number;
  readonly isStepEnd: boolean;
  /** The length that is begun with it, if one is. */
  readonly begins: { readonly need: string; readonly load: number } | null;
}

/**
 * The plan in sittings: each ends after a step, else after a length of thread, as near to the person's own length as may be. They hold all of
 * the plan's time, in its order.
 */
export function sittingsOf({ worker }: PlanInput, plan: Plan): Sitting[] {
  const wanted = worker.sittingMin * 60;
  const stretches = stretchesOf(plan);
  const sittings: Sitting[] = [];
  for (let at = 0; at < stretches.length;) {
    const end = endOf(stretches, at, wanted);
    sittings.push(sittingOf(sittings.length + 1, stretches.slice(at, end)));
    at = end;
  }
  return sittings;
}

/** The sitting in which each step is begun, by its place in the order of work. */
export function firstSittings(piece: PlanInput, plan: Plan): ReadonlyMap<number, number> {
  const begun = new Map<number, number>();
  for (const { number, steps } of sittingsOf(piece, plan)) {
    for (const { step } of steps) if (!begun.has(step)) begun.set(step, number);
  }
  return begun;
}

/** Where a sitting that begins at a stretch ends: the number of the first stretch that is no longer in it. */
function endOf(stretches: readonly Stretch[], from: number, wanted: number): number {
  let sum = 0;
  let [stepEnd, lengthEnd, any] = [-1, -1, -1];
  let [stepOff, lengthOff, anyOff] = [Infinity, Infinity, Infinity];
  let end = from;
  for (; end < stretches.length && sum < wanted * (1 + SITTING_SLACK); end++) {
    const { seconds, isStepEnd } = stretches[end]!;
    sum += seconds;
    const off = Math.abs(sum - wanted);
    if (off < anyOff) [any, anyOff] = [end + 1, off];
    if (off > wanted * SITTING_SLACK) continue;
    if (off < lengthOff) [lengthEnd, lengthOff] = [end + 1, off];
    if (isStepEnd && off < stepOff) [stepEnd, stepOff] = [end + 1, off];
  }
  // What is left after it would not be worth sitting down for.
  if (end === stretches.length && sum <= wanted * (1 + SITTING_SLACK)) return end;
  return stepEnd >= 0 ? stepEnd : lengthEnd >= 0 ? lengthEnd : any;
}

function stretchesOf({ order, work }: Plan): Stretch[] {
  const stretches: Stretch[] = [];
  order.forEach(({ position }, step) => {
    const own = work[step];
    if (!own) return;
    const all = own.portions.reduce((sum, { usedMm }) => sum + usedMm, 0);
    const isMoved = step > 0 && order[step - 1]!.position !== position;
    const lengths = own.loads * (SECONDS.thread + SECONDS.fastenOff);
    // What is not of a length comes before the first stitch.
    let before = own.aroundSeconds - lengths;
    if (isMoved) before += SECONDS.moveHoop;
    if (stretches.length === 0) before += SECONDS.mountCloth;
    let done = 0;
    const begun = own.portions.length - own.loads;
    own.portions.forEach(({ need, load, usedMm }, i) => {
      const from = done;
      done = i === own.portions.length - 1 ? 1 : done + usedMm / all;
      // Only the first length of a step may have been begun before it.
      const begins = i >= begun ? { need, load } : null;
      stretches.push({
        step,
        from,
        to: done,
        seconds: own.stitchSeconds * (done - from) + before + (begins ? SECONDS.thread + SECONDS.fastenOff : 0),
        isStepEnd: i === own.portions.length - 1,
        begins,
      });
      before = 0;
    });
  });
  return stretches;
}

function sittingOf(number: number, stretches: readonly Stretch[]): Sitting {
  const steps: SittingStep[] = [];
  const lengths = new Map<string, number[]>();
  for (const { step, from, to, seconds, begins } of stretches) {
    const last = steps.at(-1);
    if (last?.step === step) steps[steps.length - 1] = { ...last, to, seconds: last.seconds + seconds };
    else steps.push({ step, from, to, seconds });
    if (!begins) continue;
    const loads = lengths.get(begins.need) ?? [];
    lengths.set(begins.need, loads);
    loads.push(begins.load);
  }
  return {
    number,
    seconds: stretches.reduce((sum, stretch) => sum + stretch.seconds, 0),
    steps,
    lengths: [...lengths].map(([need, loads]) => ({ need, loads })),
  };
}
