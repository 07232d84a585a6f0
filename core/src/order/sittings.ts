import type { Piece } from '../piece/index.ts';
import type { Plan } from '../plan/index.ts';
import { isRaised } from './positions.ts';

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
 * When each part is reached: from back to front, raised work last, at the person's own pace. Threading and finishing are shared out by
 * the time of the stitches.
 */
export function timetable({ worker }: Piece, { parts, totals }: Plan): Timed[] {
  const own = parts.map(({ passes }) => passes.reduce((sum, pass) => sum + pass.quantities.seconds, 0));
  const bare = own.reduce((sum, seconds) => sum + seconds, 0);
  const stretch = bare > 0 ? (totals.hours.p50 * 3600) / bare : 1;
  const sittingSeconds = worker.sittingMin * 60;
  const order = parts
    .map((_, i) => i)
    .sort((a, b) => Number(isRaised(parts[a]!)) - Number(isRaised(parts[b]!)) || a - b);
  const timed: Timed[] = [];
  let seconds = 0;
  for (const i of order) {
    if (own[i] === 0) continue;
    const end = seconds + own[i]! * stretch;
    const from = Math.floor(seconds / sittingSeconds) + 1;
    const to = Math.max(from, Math.ceil(end / sittingSeconds - 1e-9));
    timed.push({ partId: parts[i]!.part.id, from, to, day: dayOf(from, worker.sittingsPerWeek) });
    seconds = end;
  }
  return timed;
}

/** The day of a sitting, 0 for the first. */
export function dayOf(sitting: number, perWeek: number): number {
  return ((sitting - 1) * 7) / perWeek;
}
