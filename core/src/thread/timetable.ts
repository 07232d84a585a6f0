import type { PlanInput } from '../piece/index.ts';
import { raisedLast, type WorkStep } from '../order/index.ts';
import { isRaised, type PlannedPart } from '../work/index.ts';
import type { Plan } from './plan.ts';

/** When a part is worked, reckoned from the first stitch. */
export interface Timed {
  readonly partId: string;
  /** Sittings by their number, from 1: where it is begun, and where it is finished. */
  readonly from: number;
  readonly to: number;
  /** The day on which it is begun, 0 for the first. */
  readonly day: number;
}

/**
 * When each part is reached in the order of work, raised work last, at the person's own pace. Threading and finishing are shared out by
 * the time of the stitches. Parts come as they are begun.
 */
export function timetable({ worker }: PlanInput, { parts, order, totals }: Plan): Timed[] {
  const byId = new Map(parts.map((planned) => [planned.part.id, planned]));
  const bare = parts.reduce((sum, { passes }) => passes.reduce((own, pass) => own + pass.quantities.seconds, sum), 0);
  const stretch = bare > 0 ? (totals.hours.p50 * 3600) / bare : 1;
  const sittingSeconds = worker.sittingMin * 60;
  const timed = new Map<string, Timed>();
  let seconds = 0;
  for (const step of raisedLast(order, (part) => isRaised(byId.get(part)!))) {
    const own = secondsOf(byId.get(step.part)!, step);
    if (own === 0) continue;
    const end = seconds + own * stretch;
    const begun = timed.get(step.part);
    const from = begun?.from ?? Math.floor(seconds / sittingSeconds) + 1;
    const to = Math.max(from, Math.ceil(end / sittingSeconds - 1e-9));
    timed.set(step.part, { partId: step.part, from, to, day: dayOf(from, worker.sittingsPerWeek) });
    seconds = end;
  }
  return [...timed.values()];
}

/** What a step takes of the time of its layer: shades share it by their own. */
function secondsOf({ passes }: PlannedPart, { layer, shade }: WorkStep): number {
  const { quantities, threads } = passes[layer]!;
  const all = threads.reduce((sum, thread) => sum + thread.quantities.seconds, 0);
  return all > 0 ? (quantities.seconds * threads[shade]!.quantities.seconds) / all : 0;
}

/** The day of a sitting, 0 for the first. */
export function dayOf(sitting: number, perWeek: number): number {
  return ((sitting - 1) * 7) / perWeek;
}
