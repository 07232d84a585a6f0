import type { PlannedPart } from '../work/index.ts';
import { layingsOf, type Laying } from './layings.ts';
import { linesOf, type StepLine } from './places.ts';
import type { Step } from './steps.ts';

/** A step as people count them: like steps in a row have one number, which is the same on the map, in lists, on the pattern and at the hoop. */
export interface NumberedStep extends StepLine {
  /** From 1. */
  readonly number: number;
  /** The scraps that are laid just before it: steps with numbers of their own. */
  readonly lays: readonly NumberedLaying[];
}

export interface NumberedLaying extends Laying {
  readonly number: number;
}

/** All steps of an order with their numbers, and the scraps that are laid between them. */
export function numberedSteps({
  order,
  parts,
}: {
  readonly order: readonly Step[];
  readonly parts: readonly PlannedPart[];
}): NumberedStep[] {
  const layings = layingsOf(order, parts);
  let [number, laid] = [0, 0];
  const lines = linesOf(order);
  return lines.map((line, i) => {
    const lays: NumberedLaying[] = [];
    // What nothing is stitched on comes last of all: before the last step.
    const isLast = i === lines.length - 1;
    for (; laid < layings.length && (isLast || layings[laid]!.at < line.to); laid++) {
      lays.push({ ...layings[laid]!, number: ++number });
    }
    return { ...line, number: ++number, lays };
  });
}

/** How many steps there are in all, with the scraps that are laid. */
export function countSteps(steps: readonly NumberedStep[]): number {
  return steps.at(-1)?.number ?? 0;
}

/**
 * The numbered step in which a place of the order lies.
 * @throws RangeError where the order has no such place
 */
export function numberedAt(steps: readonly NumberedStep[], place: number): NumberedStep {
  let [low, high] = [0, steps.length - 1];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (steps[middle]!.to <= place) low = middle + 1;
    else high = middle;
  }
  const found = steps[low];
  if (!found || place < found.from || place >= found.to) throw new RangeError(`no step at place ${place}`);
  return found;
}
