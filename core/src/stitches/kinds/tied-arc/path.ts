import type { Polyline } from '../../../geometry/index.ts';
import type { StitchContext, StitchShape } from '../../kind.ts';
import type { MoveSink } from '../../moves.ts';
import { forEachRun, type Place } from '../../shared/alongLines.ts';
import { layAlong, TIE_REACH, tieAcross } from '../../shared/layAlong.ts';
import { FIRST_THREAD, SECOND_THREAD } from '../../shared/twoThreads.ts';

/** Where a line turns is looked for at places so close, mm, over this share of it. */
const STEP_MM = 0.25;
const WINDOW = 0.2;
/** What turns by less than this is straight: it is tied in its middle. */
const STRAIGHT_RAD = 0.1;

/** Each line as one long stitch, tied where it turns most, or evenly. */
export function workTiedArc(
  { lines }: StitchShape,
  ties: number,
  { laidMm, heightMm }: StitchContext,
  sink: MoveSink,
): void {
  for (const line of lines) {
    sink.shade(FIRST_THREAD);
    if (!layAlong(line, sink)) continue;
    sink.lift(heightMm);
    sink.shade(SECOND_THREAD);
    placesOfTies(line, Math.round(ties)).forEach((place) => tieAcross(place, TIE_REACH * laidMm, sink));
    sink.lift(0);
  }
}

function placesOfTies(line: Polyline, ties: number): Place[] {
  const along = placesAlong(line);
  if (along.length === 0) return [];
  const at = (share: number): Place => along[Math.round(share * (along.length - 1))]!;
  if (ties > 1) return Array.from({ length: ties }, (_, i) => at((i + 0.5) / ties));
  const [half, count] = [WINDOW / 2, along.length];
  let [best, most] = [0.5, STRAIGHT_RAD];
  for (let i = 0; i < count; i++) {
    const share = i / (count - 1);
    if (share < half || share > 1 - half) continue;
    const [before, after] = [at(share - half), at(share + half)];
    const turn = Math.abs(
      Math.atan2(before.dx * after.dy - before.dy * after.dx, before.dx * after.dx + before.dy * after.dy),
    );
    // An even arc turns alike everywhere: the middle is as good as any, and looks best.
    const worth = turn * (1 - 0.1 * Math.abs(share - 0.5));
    if (worth > most) [best, most] = [share, worth];
  }
  return [at(best)];
}

/** Places close together and evenly along a line, corners and all. */
function placesAlong(line: Polyline): Place[] {
  const along: Place[] = [];
  forEachRun([line], STEP_MM, 0, ({ stations, place }) => stations.forEach((at) => along.push(place(at))));
  return along;
}
