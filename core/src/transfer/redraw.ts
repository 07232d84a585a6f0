import type { PlanInput } from '../piece/index.ts';
import { type Plan, dayOf, timetable, type Timed } from '../thread/index.ts';

/** Parts that would be reached after a mark, all drawn at the beginning, has faded; the soonest first. */
export function fadedParts(piece: PlanInput, plan: Plan, staysDays: number): Timed[] {
  return timetable(piece, plan).filter(({ endDay }) => endDay > staysDays);
}

/** What is drawn at one time, and for which sittings. */
export interface Redraw {
  /** Before this sitting, and up to and with that. */
  readonly before: number;
  readonly until: number;
  readonly day: number;
  readonly partIds: readonly string[];
}

/**
 * What to draw when, for a mark that fades: before a sitting only the parts that are finished while the mark can be trusted. A
 * part that takes longer than the mark stays is drawn again where it is not yet stitched.
 */
export function redrawPlan(piece: PlanInput, plan: Plan, staysDays: number): Redraw[] {
  const perWeek = piece.worker.sittingsPerWeek;
  // A mark that stays less than from one sitting to the next serves that one.
  const sittings = Math.max(1, Math.floor((staysDays * perWeek) / 7 + 1e-9) + 1);
  const times = timetable(piece, plan);
  const last = Math.max(0, ...times.map(({ to }) => to));
  const plans: Redraw[] = [];
  for (let before = 1; before <= last; before += sittings) {
    const until = Math.min(last, before + sittings - 1);
    const partIds = times.filter(({ from, to }) => from <= until && to >= before).map(({ partId }) => partId);
    plans.push({ before, until, day: dayOf(before, perWeek), partIds });
  }
  return plans;
}
