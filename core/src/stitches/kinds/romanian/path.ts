import type { StitchContext, StitchShape } from '../../kind.ts';
import type { MoveSink } from '../../moves.ts';
import { spansOf } from '../../shared/satinSpans.ts';

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
  for (const fan of spansOf(region, context, spacingMm)) {
    sink.travel();
    for (let i = 0; i < fan.length; i += 4) {
      const [ax, ay, bx, by] = [fan[i]!, fan[i + 1]!, fan[i + 2]!, fan[i + 3]!];
      const span = Math.hypot(bx - ax, by - ay) || 1e-9;
      const half = Math.min(Math.max(LEAST_TIE_WIDTHS * context.laidMm, share * span), most, span * 0.6) / 2;
      const [ux, uy] = [(bx - ax) / span, (by - ay) / span];
      const [mx, my] = [(ax + bx) / 2, (ay + by) / 2];
      const aside = spacingMm / 2;
      sink.stitch();
      sink.up(ax, ay);
      sink.down(bx, by);
      sink.stitch();
      sink.up(mx + half * ux + aside * uy, my + half * uy - aside * ux);
      sink.down(mx - half * ux - aside * uy, my - half * uy + aside * ux);
    }
  }
}
