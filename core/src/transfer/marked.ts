import { labOf } from '../colour/index.ts';
import { markOf, PALE_LIGHTNESS, type Mark } from '../materials/index.ts';
import type { PlanInput } from '../piece/index.ts';
import { dayOf, sittingsOf, type Plan } from '../thread/index.ts';
import { redrawPlan } from './redraw.ts';

/** What is left of a mark that fades when it can no longer be trusted, as a share; it goes on at the same pace until nothing is. A craft figure. */
const LEFT_AT_LAST = 1 / 3;

/** How much of a mark is still seen a number of days after it was drawn, 0 to 1; one that does not fade by itself stays. */
export function markStrength({ staysDays }: Mark, days: number): number {
  return staysDays === null ? 1 : Math.max(0, Math.min(1, 1 - ((1 - LEFT_AT_LAST) * days) / staysDays));
}

/** The colour of the line that a way leaves on a cloth, as `#rrggbb`. */
export function inkOn({ ink, inkOnDark }: Mark, clothColour: string): string {
  return labOf(clothColour).l < PALE_LIGHTNESS ? inkOnDark : ink;
}

/**
 * How much is seen of the mark of each part when a step of the order is reached, 0 to 1; parts that are not drawn are missing. A mark that
 * fades is drawn anew as `redrawPlan` says, and grows paler from day to day.
 * @param step a step of the order by its number; beyond the last: after it
 */
export function marksAt(piece: PlanInput, plan: Plan, step: number): ReadonlyMap<string, number> {
  const mark = markOf(piece.mark);
  if (mark.staysDays === null) return new Map(plan.parts.map(({ part }) => [part.id, 1]));
  const sittings = sittingsOf(piece, plan);
  const own = sittings.find(({ steps }) => steps.some((one) => one.step === step)) ?? sittings.at(-1);
  const day = dayOf(own?.number ?? 1, piece.worker.sittingsPerWeek);
  const seen = new Map<string, number>();
  for (const drawn of redrawPlan(piece, plan, mark.staysDays)) {
    if (drawn.before > (own?.number ?? 1)) break;
    const strength = markStrength(mark, day - drawn.day);
    for (const part of drawn.partIds) seen.set(part, Math.max(strength, seen.get(part) ?? 0));
  }
  return seen;
}
