import { lengthsOf, placeOn } from '../../../geometry/index.ts';
import type { StitchContext, StitchShape } from '../../kind.ts';
import type { MoveSink } from '../../moves.ts';
import { rowsAsLines, sideBySide } from '../../shared/rowsAsLines.ts';

/** The tie's share of the span, and the least and most that it is, mm. */
const TIE = { narrow: { share: 0.12, most: 2 }, wide: { share: 0.32, most: 6 } } as const;
const LEAST_TIE_WIDTHS = 1.6;

/** Spans from edge to edge, each tied down in its middle by a slanting stitch over it before the next is laid. */
export function workRomanian(
  { region }: StitchShape,
  { spacingMm, tie }: { spacingMm: number; tie: 'narrow' | 'wide' },
  context: StitchContext,
  sink: MoveSink,
): void {
  const { share, most } = TIE[tie];
  for (const { points } of sideBySide(rowsAsLines(region, { ...context, followsOutline: false }, spacingMm).lines)) {
    const lengths = lengthsOf(points);
    const span = lengths.at(-1)!;
    const half = Math.min(Math.max(LEAST_TIE_WIDTHS * context.laidMm, share * span), most, span * 0.6) / 2;
    const [ax, ay, bx, by] = [points[0]!, points[1]!, points.at(-2)!, points.at(-1)!];
    const [nx, ny] = [((by - ay) / (span || 1)) * spacingMm * 0.5, ((ax - bx) / (span || 1)) * spacingMm * 0.5];
    const [fromX, fromY] = placeOn(points, lengths, span / 2 + half);
    const [toX, toY] = placeOn(points, lengths, span / 2 - half);
    sink.travel();
    sink.stitch();
    sink.up(ax, ay);
    sink.down(bx, by);
    sink.stitch();
    sink.up(fromX + nx, fromY + ny);
    sink.down(toX - nx, toY - ny);
  }
}
