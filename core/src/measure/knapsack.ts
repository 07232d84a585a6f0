/** A way to do one thing: what it takes and what it gives. */
export interface Choice {
  readonly cost: number;
  readonly gain: number;
}

/**
 * One choice for each thing, so that together they give as much as can be had for a budget (the multiple-choice knapsack, by dynamic programming
 * over costs in whole steps: Dudziński and Walukiewicz, Eur. J. Oper. Res. 28, 1987). Costs are rounded up, so that the budget is never passed;
 * a larger budget never gives less.
 * @param things the choices of each, one or more
 * @param step costs are rounded up to multiples of this
 * @returns the number of the choice of each thing; null where even the cheapest pass the budget
 * @throws RangeError where a thing has no choice
 */
export function bestWithin(things: readonly (readonly Choice[])[], budget: number, step: number): number[] | null {
  const size = Math.floor(budget / step) + 1;
  if (size < 1) return null;
  // The most that the things before give for each whole cost, and what was chosen for it.
  let gains = new Float64Array(size);
  const chosen: Int16Array[] = [];
  for (const choices of things) {
    if (choices.length === 0) throw new RangeError('bestWithin: a thing has no choice');
    const next = new Float64Array(size).fill(-Infinity);
    const which = new Int16Array(size).fill(-1);
    choices.forEach(({ cost, gain }, k) => {
      const steps = Math.ceil(cost / step - 1e-9);
      for (let at = steps; at < size; at++) {
        const sum = gains[at - steps]! + gain;
        if (sum > next[at]! + 1e-12) [next[at], which[at]] = [sum, k];
      }
    });
    gains = next;
    chosen.push(which);
  }
  let at = size - 1;
  if (things.length > 0 && gains[at] === -Infinity) return null;
  const picked = new Array<number>(things.length);
  for (let i = things.length - 1; i >= 0; i--) {
    const k = chosen[i]![at]!;
    picked[i] = k;
    at -= Math.ceil(things[i]![k]!.cost / step - 1e-9);
  }
  return picked;
}
