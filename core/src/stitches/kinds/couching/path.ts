import type { StitchContext, StitchShape } from '../../kind.ts';
import type { MoveSink } from '../../moves.ts';
import { FIRST_THREAD, SECOND_THREAD } from '../../shared/twoThreads.ts';
import { forEachRun, type Place } from '../../shared/alongLines.ts';

/** The laid thread follows the line in steps of this, mm. */
const LAID_STEP_MM = 1;
/** A tie reaches this far to either side of the laid thread, in laid widths. */
const TIE_REACH = 0.7;

/** A thread laid along the whole line, then tied down at intervals by small stitches across it. */
export function workCouching(
  shape: StitchShape,
  tieMm: number,
  { laidMm, heightMm }: StitchContext,
  sink: MoveSink,
): void {
  for (const line of shape.lines) {
    const laid: Place[] = [];
    const ties: Place[] = [];
    forEachRun([line], LAID_STEP_MM, 1, ({ stations, place, isFirst }) => {
      stations.forEach((at, i) => (i > 0 || isFirst) && laid.push(place(at)));
    });
    forEachRun([line], tieMm, 1, ({ stations, place }) => {
      for (let i = 1; i < stations.length; i++) ties.push(place((stations[i - 1]! + stations[i]!) / 2));
    });
    const [first, last] = [laid[0], laid.at(-1)];
    if (!first || !last) continue;
    sink.shade(FIRST_THREAD);
    sink.travel();
    sink.stitch();
    sink.up(first.x, first.y);
    for (const { x, y } of laid.slice(1, -1)) sink.via(x, y);
    sink.down(last.x, last.y);
    const reach = TIE_REACH * laidMm;
    sink.lift(heightMm);
    sink.shade(SECOND_THREAD);
    for (const { x, y, dx, dy } of ties.reverse()) {
      sink.travel();
      sink.stitch();
      sink.up(x - dy * reach, y + dx * reach);
      sink.down(x + dy * reach, y - dx * reach);
    }
    sink.lift(0);
  }
}
