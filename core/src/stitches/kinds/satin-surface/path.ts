import { fieldRows } from '../../../geometry/index.ts';
import type { StitchContext, StitchShape } from '../../kind.ts';
import type { MoveSink } from '../../moves.ts';
import { rowsAsLines, toAndFro } from '../../shared/rowsAsLines.ts';

/** Across, and up again on the side where it went down: all but nothing lies behind. */
export function workSatinSurface(shape: StitchShape, spacingMm: number, context: StitchContext, sink: MoveSink): void {
  const { field } = context;
  const rows = field
    ? toAndFro(fieldRows(shape.region, field, spacingMm, { straight: true }))
    : rowsAsLines(shape.region, { angleRad: context.angleRad }, spacingMm).lines;
  rows.forEach(({ points }) => {
    sink.travel();
    sink.stitch();
    sink.up(points[0]!, points[1]!);
    sink.down(points.at(-2)!, points.at(-1)!);
  });
}
