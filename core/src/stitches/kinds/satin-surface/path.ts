import type { StitchContext, StitchShape } from '../../kind.ts';
import type { MoveSink } from '../../moves.ts';
import { rowsAsLines } from '../../shared/rowsAsLines.ts';

/** Across, and up again on the side where it went down: all but nothing lies behind. */
export function workSatinSurface(
  shape: StitchShape,
  spacingMm: number,
  { angleRad }: StitchContext,
  sink: MoveSink,
): void {
  rowsAsLines(shape.region, angleRad, spacingMm).lines.forEach(({ points }) => {
    sink.travel();
    sink.stitch();
    sink.up(points[0]!, points[1]!);
    sink.down(points[2]!, points[3]!);
  });
}
