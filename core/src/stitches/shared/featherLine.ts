import type { StitchContext, StitchShape } from '../kind.ts';
import type { MoveSink } from '../moves.ts';
import { forEachRun } from './alongLines.ts';
import { tieDown } from './chainLine.ts';

/**
 * Open loops to the left and to the right by turns, each caught by the next. An arm ends beside the line, and may reach back
 * along it.
 */
export function workFeather(
  shape: StitchShape,
  { stitchMm, armMm, backMm }: { stitchMm: number; armMm: number; backMm: number },
  { laidMm }: StitchContext,
  sink: MoveSink,
): void {
  let side = 1;
  forEachRun(shape.lines, stitchMm, 1, ({ stations, place, isFirst, isLast }) => {
    if (isFirst) sink.travel();
    for (let i = 1; i < stations.length; i++) {
      const [from, to] = [place(stations[i - 1]!), place(stations[i]!)];
      const armX = from.x - from.dy * armMm * side - from.dx * backMm;
      const armY = from.y + from.dx * armMm * side - from.dy * backMm;
      sink.stitch();
      sink.up(from.x, from.y);
      // The thread leaves along the line, hangs round the needle at the end of the loop, and swings out into the arm.
      const bow = (along: number, out: number): void =>
        sink.via(
          from.x + (to.x - from.x) * along - from.dy * armMm * out * side,
          from.y + (to.y - from.y) * along + from.dx * armMm * out * side,
        );
      bow(0.45, -0.06);
      bow(0.82, -0.03);
      sink.via(to.x + to.dx * laidMm * 0.3, to.y + to.dy * laidMm * 0.3);
      bow(0.88, 0.16);
      sink.via(to.x + (armX - to.x) * 0.62 + to.dx * armMm * 0.1, to.y + (armY - to.y) * 0.62 + to.dy * armMm * 0.1);
      sink.down(armX, armY);
      side = -side;
    }
    if (isLast) tieDown(place(stations.at(-1)!), laidMm, sink);
  });
}
