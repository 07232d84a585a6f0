import type { StitchContext, StitchShape } from '../../kind.ts';
import type { MoveSink } from '../../moves.ts';
import { workBands, type BandStitch } from '../../shared/bands.ts';
import { keepsOf, shadesOf } from '../../shared/shading.ts';

/** What is left at an edge joins its band when it is shorter than this share of one. */
const SHORTEST = 0.35;
/** The ends of a band lie so far between those of the last that no cloth shows, in laid widths. */
const INTO_LAST = 0.5;

/** Bands of satin; each goes down in the gaps between the stitches of the last. */
export function workBlockShading(
  shape: StitchShape,
  { bandMm, spacingMm }: { bandMm: number; spacingMm: number },
  context: StitchContext,
  sink: MoveSink,
): void {
  const into = INTO_LAST * context.laidMm;
  const divide = (u0: number, u1: number): BandStitch[] => {
    const count = Math.max(1, Math.floor((u1 - u0) / bandMm + 1 - SHORTEST));
    return Array.from({ length: count }, (_, band) => ({
      band,
      from: u0 + band * bandMm - (band > 0 ? into : 0),
      to: band === count - 1 ? u1 : u0 + (band + 1) * bandMm,
    }));
  };
  workBands(shape.region, context, spacingMm, divide, sink, shadesOf(context), {
    halfDrop: true,
    keeps: keepsOf(context),
  });
}
