import { placesOf } from '../../geometry/index.ts';
import type { MoveSink } from '../moves.ts';

/** One thread of the cloth: where the needle goes down, so that the knot does not fall through. */
const ONE_CLOTH_THREAD_MM = 0.4;

/** A figure of eight takes as much thread as two wraps. */
export const FIGURE_OF_EIGHT = 2;

/** Up, the thread wound round the needle, down one thread of the cloth away. */
export function workKnot(x: number, y: number, turns: number, coreMm: number, sink: MoveSink): void {
  sink.travel();
  sink.stitch();
  sink.up(x - ONE_CLOTH_THREAD_MM / 2, y);
  sink.wrap(turns, coreMm);
  sink.down(x + ONE_CLOTH_THREAD_MM / 2, y);
}

/** A knot on every spot. */
export function workKnots(spots: Float64Array, turns: number, coreMm: number, sink: MoveSink): void {
  for (const [x, y] of placesOf(spots)) workKnot(x, y, turns, coreMm, sink);
}
