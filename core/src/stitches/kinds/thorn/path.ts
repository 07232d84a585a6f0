import type { StitchContext, StitchShape } from '../../kind.ts';
import type { MoveSink } from '../../moves.ts';
import { forEachRun, type Place } from '../../shared/alongLines.ts';
import { layAlong } from '../../shared/layAlong.ts';
import { FIRST_THREAD, SECOND_THREAD } from '../../shared/twoThreads.ts';

/** How far a thorn leans forward, as a share of its reach. */
const LEAN = 0.8;
/** It goes down so far beyond the stem, in laid widths. */
const BEYOND = 0.8;

/** A thread laid along each line, held by pairs of slanting stitches that cross over it. */
export function workThorn(
  { lines }: StitchShape,
  { stitchMm, armMm }: { stitchMm: number; armMm: number },
  { laidMm, heightMm }: StitchContext,
  sink: MoveSink,
): void {
  for (const line of lines) {
    sink.shade(FIRST_THREAD);
    if (!layAlong(line, sink)) continue;
    const pairs: Place[] = [];
    forEachRun([line], stitchMm, 0, ({ stations, place }) => {
      for (let i = 1; i < stations.length; i++) pairs.push(place((stations[i - 1]! + stations[i]!) / 2));
    });
    sink.lift(heightMm);
    sink.shade(SECOND_THREAD);
    // Back from the end of the laid thread to its beginning.
    for (const { x, y, dx, dy } of pairs.reverse()) {
      for (const side of [1, -1]) {
        const foot = -side * BEYOND * laidMm;
        sink.stitch();
        sink.up(x + dx * LEAN * armMm + dy * side * armMm, y + dy * LEAN * armMm - dx * side * armMm);
        sink.down(x + dy * foot, y - dx * foot);
      }
    }
    sink.lift(0);
  }
}
