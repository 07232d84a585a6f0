import type { StitchContext, StitchShape } from '../../kind.ts';
import type { MoveSink } from '../../moves.ts';
import { forEachRun } from '../../shared/alongLines.ts';

/** On the edge the needle goes back by this share of the pitch before it comes up. */
const GOES_BACK = 0.85;
/** How far to either side of where they cross a thread goes below the last one, in laid widths. */
const BELOW = 0.7;

/** Slanting stitches from edge to edge by turns; each goes below the one before and over the one before that. */
export function workCablePlait(
  shape: StitchShape,
  { bandMm, pitchMm }: { bandMm: number; pitchMm: number },
  { laidMm }: StitchContext,
  sink: MoveSink,
): void {
  forEachRun(shape.lines, pitchMm, 1, ({ stations, place, isFirst }) => {
    if (isFirst) sink.travel();
    let [side, hasLast] = [1, false];
    for (let i = 0; i + 1 < stations.length; i++) {
      const back = GOES_BACK * (stations[i + 1]! - stations[i]!);
      const at = (mm: number, way: number): [number, number] => {
        const { x, y, dx, dy } = place(Math.max(0, mm));
        return [x - (dy * way * bandMm) / 2, y + (dx * way * bandMm) / 2];
      };
      const start = at(stations[i]! - back, side);
      const end = at(stations[i + 1]!, -side);
      sink.stitch();
      sink.up(...start);
      if (hasLast) {
        // The last thread came down just ahead on this edge: their crossing lies where both are as far across.
        const share = back / (2 * (stations[i + 1]! - stations[i]! + back));
        const on = (t: number): [number, number] => [
          start[0] + t * (end[0] - start[0]),
          start[1] + t * (end[1] - start[1]),
        ];
        const reach = (BELOW * laidMm) / Math.hypot(end[0] - start[0], end[1] - start[1]);
        sink.via(...on(Math.max(0.02, share - reach)));
        sink.under(...on(share + reach));
      }
      sink.down(...end);
      side = -side;
      hasLast = true;
    }
  });
}
