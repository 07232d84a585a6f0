import type { StitchContext, StitchShape } from '../../kind.ts';
import type { MoveSink } from '../../moves.ts';
import { forEachRun } from '../../shared/alongLines.ts';
import { tieDown } from '../../shared/chainLine.ts';

/** Open loops to the left and to the right by turns, each caught by the next. */
export function workFeather(
  shape: StitchShape,
  { stitchMm, armMm }: { stitchMm: number; armMm: number },
  { laidMm }: StitchContext,
  sink: MoveSink,
): void {
  let side = 1;
  forEachRun(shape.lines, stitchMm, 1, ({ stations, place, isFirst, isLast }) => {
    if (isFirst) sink.travel();
    for (let i = 1; i < stations.length; i++) {
      const [from, to] = [place(stations[i - 1]!), place(stations[i]!)];
      const [armX, armY] = [from.x - from.dy * armMm * side, from.y + from.dx * armMm * side];
      sink.stitch();
      sink.up(from.x, from.y);
      sink.via(from.x + (to.x - from.x) * 0.7, from.y + (to.y - from.y) * 0.7);
      sink.via(to.x, to.y);
      sink.via(to.x + (armX - to.x) * 0.35, to.y + (armY - to.y) * 0.35);
      sink.down(armX, armY);
      side = -side;
    }
    if (isLast) tieDown(place(stations.at(-1)!), laidMm, sink);
  });
}
