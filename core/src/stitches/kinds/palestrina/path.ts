import type { StitchContext, StitchShape } from '../../kind.ts';
import type { MoveSink } from '../../moves.ts';
import { forEachRun, type Place } from '../../shared/alongLines.ts';

/** The thread goes round the bar this far to either side of it, in laid widths. */
const ROUND_BAR = 0.72;
/** Where on the bar the knot sits, and how far along it the thread goes under it before and after, in laid widths. */
const KNOT_AT = 0.72;
const APART = 1.1;

/**
 * A bar along the line with an arm across it; the thread goes twice under the bar, not through the cloth: a knot. From the
 * knot it goes on as the next bar.
 */
export function workPalestrina(
  shape: StitchShape,
  { stitchMm, armMm }: { stitchMm: number; armMm: number },
  { laidMm }: StitchContext,
  sink: MoveSink,
): void {
  forEachRun(shape.lines, stitchMm, 1, ({ stations, place }) => {
    const armEnd = ({ x, y, dx, dy }: Place, side: number): [number, number] => [
      x - (dy * side * armMm) / 2,
      y + (dx * side * armMm) / 2,
    ];
    const last = stations.length - 1;
    let from = place(stations[0]!);
    sink.travel();
    sink.stitch();
    sink.up(from.x, from.y);
    for (let i = 1; i <= last; i++) {
      const at = place(stations[i]!);
      const [headX, headY] = armEnd(at, -1);
      sink.down(headX, headY);
      const knot = beside(from.x, from.y, headX, headY, laidMm);
      sink.stitch();
      sink.up(...armEnd(at, 1));
      sink.via(...knot(-1, -APART));
      sink.under(...knot(1, -APART));
      sink.via(...knot(1.3, -0.35));
      sink.via(...knot(-1.3, 0.35));
      sink.under(...knot(1, APART));
      const [x, y] = knot(1, APART);
      from = { ...at, x, y };
    }
    const end = place(stations[last]!);
    sink.down(end.x + end.dx * laidMm, end.y + end.dy * laidMm);
  });
}

/** Places beside the knot on a bar: to its side and along it, in units of the thread that goes round. */
function beside(
  ax: number,
  ay: number,
  bx: number,
  by: number,
  laidMm: number,
): (side: number, along: number) => [x: number, y: number] {
  const length = Math.hypot(bx - ax, by - ay) || 1;
  const [ux, uy] = [(bx - ax) / length, (by - ay) / length];
  const [kx, ky] = [ax + (bx - ax) * KNOT_AT, ay + (by - ay) * KNOT_AT];
  const out = ROUND_BAR * laidMm;
  return (side, along) => [kx - uy * side * out + ux * along * laidMm, ky + ux * side * out + uy * along * laidMm];
}
