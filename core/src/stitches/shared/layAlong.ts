import type { Polyline } from '../../geometry/index.ts';
import type { MoveSink } from '../moves.ts';
import { forEachRun, type Place } from './alongLines.ts';

/** The laid thread follows the line in steps of this, mm. */
const LAID_STEP_MM = 1;
/** Lays a thread along a whole line, up at its start and down at its end; false where there is no line. */
export function layAlong(line: Polyline, sink: MoveSink): boolean {
  const laid: Place[] = [];
  forEachRun([line], LAID_STEP_MM, 1, ({ stations, place, isFirst }) => {
    stations.forEach((at, i) => (i > 0 || isFirst) && laid.push(place(at)));
  });
  const [first, last] = [laid[0], laid.at(-1)];
  if (!first || !last) return false;
  sink.travel();
  sink.stitch();
  sink.up(first.x, first.y);
  for (const { x, y } of laid.slice(1, -1)) sink.via(x, y);
  sink.down(last.x, last.y);
  return true;
}

/** How far a tie over a single laid thread reaches to either side of it, in laid widths. */
export const TIE_REACH = 0.7;

/** A small stitch across a laid thread, reaching so far to either side of it. */
export function tieAcross({ x, y, dx, dy }: Place, reach: number, sink: MoveSink): void {
  sink.travel();
  sink.stitch();
  sink.up(x - dy * reach, y + dx * reach);
  sink.down(x + dy * reach, y - dx * reach);
}
