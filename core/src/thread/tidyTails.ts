import { isInside } from '../geometry/index.ts';
import type { NumberedStep } from '../order/index.ts';
import type { Plan } from './plan.ts';

/** Loose tails are woven in when as many threads as this were fastened off, also within a step. */
export const TIDY_AFTER = 6;

/**
 * Where tails are woven in before the work goes on, by the number of the step: where its part will cover them, or after six endings. Within a
 * step of many lengths they are woven in after every six; what is left loose at the last step waits for the finish.
 * @returns how many tails are loose then
 */
export function tidyTails(
  plan: Pick<Plan, 'order' | 'work' | 'parts'>,
  steps: readonly NumberedStep[],
): Map<number, number> {
  const { order, work, parts } = plan;
  const found = new Map<number, number>();
  let loose: { depth: number; places: (readonly [x: number, y: number])[]; endings: number }[] = [];
  for (const { number, from, to } of steps) {
    const covered = loose.some(({ depth, places }) =>
      order.slice(from, to).some((step) => {
        const { region } = parts[step.depth]!.placed.shape;
        return step.depth !== depth && region.length > 0 && places.some(([x, y]) => isInside(region, x, y));
      }),
    );
    const endings = loose.reduce((sum, one) => sum + one.endings, 0);
    if (endings >= TIDY_AFTER || (covered && endings > 0)) {
      found.set(number, 2 * endings);
      loose = [];
    }
    for (let i = from; i < to; i++) {
      const own = work[i];
      if (!own) continue;
      const step = order[i]!;
      const ended = (own.loads + own.restarts + own.rethreadings) % TIDY_AFTER;
      if (ended > 0) loose.push({ depth: step.depth, places: [step.from, step.to], endings: ended });
    }
  }
  return found;
}
