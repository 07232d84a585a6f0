import type { StitchContext, StitchShape } from '../../kind.ts';
import type { MoveSink } from '../../moves.ts';
import { forEachRun } from '../../shared/alongLines.ts';

/** The thread goes round the bar this far to either side of it, in laid widths. */
const ROUND_BAR = 0.7;

/** A bar along the line with an arm across it; the thread goes twice under the bar, not through the cloth: a knot. */
export function workPalestrina(
  shape: StitchShape,
  { stitchMm, armMm }: { stitchMm: number; armMm: number },
  { laidMm }: StitchContext,
  sink: MoveSink,
): void {
  forEachRun(shape.lines, stitchMm, 1, ({ stations, place, isFirst }) => {
    if (isFirst) sink.travel();
    for (let i = 1; i < stations.length; i++) {
      const [from, to] = [place(stations[i - 1]!), place(stations[i]!)];
      const across = (side: number): [number, number] => [
        to.x - (to.dy * side * armMm) / 2,
        to.y + (to.dx * side * armMm) / 2,
      ];
      const [headX, headY] = across(-1);
      const [footX, footY] = across(1);
      // The bar runs from the last knot to the head of the arm; the knot sits on it near its end.
      const [bx, by] = [headX - from.x, headY - from.y];
      const length = Math.hypot(bx, by) || 1;
      const [ux, uy] = [bx / length, by / length];
      const [kx, ky] = [from.x + bx * 0.72, from.y + by * 0.72];
      const round = ROUND_BAR * laidMm;
      const beside = (side: number, along: number): [number, number] => [
        kx - uy * side * round + ux * along * laidMm,
        ky + ux * side * round + uy * along * laidMm,
      ];
      sink.stitch();
      sink.up(from.x, from.y);
      sink.down(headX, headY);
      sink.stitch();
      sink.up(footX, footY);
      sink.via(...beside(-1, -0.5));
      sink.under(...beside(1, -0.5));
      sink.via(...beside(1.3, 0.1));
      sink.via(...beside(-1.3, 0.4));
      sink.under(...beside(1, 0.5));
      sink.down(to.x, to.y);
    }
  });
}
