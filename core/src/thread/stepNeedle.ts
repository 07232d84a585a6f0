import { valueOf } from '../measure/index.ts';
import type { Step } from '../order/index.ts';
import type { Plan } from './plan.ts';

/** What is on the needle when a step is begun. */
export interface StepNeedle {
  /** Whether a new length or the rest of one is threaded, a parked needle is taken up, or the one in the hand goes on. */
  readonly begins: 'new' | 'rest' | 'parked' | 'same';
  /** How much of its length is left for this step and what follows, 0–1. */
  readonly share: number;
  /** The number of stitches after which it is about used up; null: it lasts for all of the step. */
  readonly stitches: number | null;
}

/** A length of thread of a plan: which colour needs it, and which of its loads it is. */
type Length = `${string} ${number}`;

/** What the needle holds for a step, as it is planned; null where the step takes no thread. */
export function stepNeedle(plan: Plan, step: Step): StepNeedle | null {
  const at = plan.order.findIndex(({ key }) => key === step.key);
  const own = plan.work[at];
  const [first] = own?.portions ?? [];
  if (!own || !first) return null;
  const taken = own.portions.reduce((sum, { usedMm }) => sum + usedMm, 0);
  let [before, all] = [0, 0];
  plan.work.forEach((other, i) => {
    for (const { need, load, usedMm } of other?.portions ?? []) {
      if (need !== first.need || load !== first.load) continue;
      all += usedMm;
      if (i < at) before += usedMm;
    }
  });
  return {
    begins: before === 0 ? 'new' : own.rethreadings > 0 ? 'rest' : own.isParked ? 'parked' : 'same',
    share: all > 0 ? 1 - before / all : 1,
    stitches:
      own.portions.length === 1 ? null : Math.max(1, Math.round((step.stitches * first.usedMm) / Math.max(1, taken))),
  };
}

/** The colours of the needles that wait, threaded, while a step is worked: begun before it, gone on with after it. */
export function parkedDuring(plan: Plan, step: Step): string[] {
  const at = plan.order.findIndex(({ key }) => key === step.key);
  const lengthsOf = (i: number): Length[] =>
    (plan.work[i]?.portions ?? []).map(({ need, load }): Length => `${need} ${load}`);
  const colours = new Map<Length, string>();
  const [before, after] = [new Set<Length>(), new Set<Length>()];
  plan.order.forEach(({ colour }, i) => {
    for (const length of lengthsOf(i)) {
      colours.set(length, colour);
      if (i < at) before.add(length);
      if (i > at) after.add(length);
    }
  });
  const own = new Set(lengthsOf(at));
  return [...before]
    .filter((length) => after.has(length) && !own.has(length))
    .map((length) => valueOf(colours, length));
}
