import { linesOf, type StepLine } from './places.ts';
import type { Step } from './steps.ts';

/** A step as people count them: like steps in a row have one number, which is the same on the map, in lists, on the pattern and at the hoop. */
export interface NumberedStep extends StepLine {
  /** From 1. */
  readonly number: number;
}

/** All steps of an order with their numbers. */
export function numberedSteps(order: readonly Step[]): NumberedStep[] {
  return linesOf(order).map((line, i) => ({ ...line, number: i + 1 }));
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
