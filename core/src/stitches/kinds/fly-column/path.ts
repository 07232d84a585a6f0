import { polylineLength } from '../../../geometry/index.ts';
import type { StitchContext, StitchShape } from '../../kind.ts';
import type { MoveSink } from '../../moves.ts';
import { forEachRun, type Place } from '../../shared/alongLines.ts';
import { shadesOf } from '../../shared/shading.ts';

/** The tail of a fly stitch takes up this share of its place. */
const TAIL = 0.45;

/** One V above the other: up on the left, down on the right, the loop tied by a tail along the line. */
export function workFlyColumn(
  shape: StitchShape,
  { stitchMm, armMm }: { stitchMm: number; armMm: number },
  context: StitchContext,
  sink: MoveSink,
): void {
  const shadeAt = shadesOf(context);
  const wholeMm = shape.lines.reduce((sum, line) => sum + polylineLength(line), 0);
  let doneMm = 0;
  let start: Place | undefined;
  forEachRun(shape.lines, stitchMm, 1, ({ stations, place, isFirst }) => {
    if (isFirst) sink.travel();
    start ??= place(0);
    for (let i = 1; i < stations.length; i++) {
      const [from, to] = [place(stations[i - 1]!), place(stations[i]!)];
      const [baseX, baseY] = [to.x + (from.x - to.x) * TAIL, to.y + (from.y - to.y) * TAIL];
      const [leftX, leftY] = [from.x + from.dy * armMm, from.y - from.dx * armMm];
      const [rightX, rightY] = [from.x - from.dy * armMm, from.y + from.dx * armMm];
      const towards = (x: number, y: number): void => sink.via(baseX + (x - baseX) * 0.3, baseY + (y - baseY) * 0.3);
      const middleMm = (stations[i - 1]! + stations[i]!) / 2;
      if (shadeAt) sink.shade(shadeAt(from.x, from.y, (doneMm + middleMm) / wholeMm, start));
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
    doneMm += stations.at(-1)!;
  });
}
