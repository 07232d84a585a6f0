import type { PlanInput } from '../piece/index.ts';
import type { Plan } from './plan.ts';
import { sittingsOf } from './sittings.ts';

/** When a part is worked, reckoned from the first stitch. */
export interface Timed {
  readonly partId: string;
  /** Sittings by their number, from 1: where it is begun, and where it is finished. */
  readonly from: number;
  readonly to: number;
  /** The days on which it is begun and finished, 0 for the first. */
  readonly day: number;
  readonly endDay: number;
}

/** When each part is reached in the order of work, at the person's own pace. Parts come as they are begun. */
export function timetable(piece: PlanInput, plan: Plan): Timed[] {
  const perWeek = piece.worker.sittingsPerWeek;
  const timed = new Map<string, Timed>();
  for (const { number, steps } of sittingsOf(piece, plan)) {
    for (const { step } of steps) {
      const partId = plan.order[step]!.part;
      const from = timed.get(partId)?.from ?? number;
      timed.set(partId, { partId, from, to: number, day: dayOf(from, perWeek), endDay: dayOf(number, perWeek) });
    }
  }
  return [...timed.values()];
}

/** The day of a sitting, 0 for the first. */
export function dayOf(sitting: number, perWeek: number): number {
  return ((sitting - 1) * 7) / perWeek;
}
