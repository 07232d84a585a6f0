import type { StitchShape } from '../../kind.ts';
import type { MoveSink } from '../../moves.ts';
import { forEachRun } from '../../shared/alongLines.ts';

/** The tail of a fly stitch takes up this share of its place. */
const TAIL = 0.45;

/** One V above the other: up on the left, down on the right, the loop tied by a tail along the line. */
export function workFlyColumn(
  shape: StitchShape,
  { stitchMm, armMm }: { stitchMm: number; armMm: number },
  sink: MoveSink,
): void {
  forEachRun(shape.lines, stitchMm, 1, ({ stations, place, isFirst }) => {
    if (isFirst) sink.travel();
    for (let i = 1; i < stations.length; i++) {
      const [from, to] = [place(stations[i - 1]!), place(stations[i]!)];
      const [baseX, baseY] = [to.x + (from.x - to.x) * TAIL, to.y + (from.y - to.y) * TAIL];
      const [leftX, leftY] = [from.x + from.dy * armMm, from.y - from.dx * armMm];
      const [rightX, rightY] = [from.x - from.dy * armMm, from.y + from.dx * armMm];
      const towards = (x: number, y: number): void => sink.via(baseX + (x - baseX) * 0.3, baseY + (y - baseY) * 0.3);
      sink.stitch();
      sink.up(leftX, leftY);
      towards(leftX, leftY);
      sink.via(baseX, baseY);
      towards(rightX, rightY);
      sink.down(rightX, rightY);
      sink.stitch();
      sink.up(baseX, baseY);
      sink.down(to.x, to.y);
    }
  });
}
