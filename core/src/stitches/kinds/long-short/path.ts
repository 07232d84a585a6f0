import { seededRandom, seedFrom } from '../../../measure/index.ts';
import type { StitchContext, StitchShape } from '../../kind.ts';
import type { MoveSink } from '../../moves.ts';
import { workBands, type BandStitch } from '../../shared/bands.ts';
import { keepsOf, shadesOf, type ShadeAt } from '../../shared/shading.ts';

/** Short stitches of the first row, and how much lengths differ in the later ones. */
const SHORT = 0.62;
const UNEVEN = 0.18;
/** A stitch splits the last one this far from its end, as a share of its length. */
const SPLITS = 0.14;
const SHORTEST = 0.35;

/** A first row long and short by turns from the edge, later rows splitting the ends of the last. */
export function workLongShort(
  shape: StitchShape,
  { stitchMm, spacingMm }: { stitchMm: number; spacingMm: number },
  context: StitchContext,
  sink: MoveSink,
): void {
  const divide = (u0: number, u1: number, row: number): BandStitch[] => {
    const random = seededRandom(seedFrom(context.seed, String(row)));
    const stitches: BandStitch[] = [];
    let at = u0;
    for (let band = 0; at < u1; band++) {
      const isShort = band === 0 && row % 2 !== 0;
      const length = stitchMm * (isShort ? SHORT : 1) * (1 + random.between(-UNEVEN, UNEVEN));
      const to = u1 - (at + length) < SHORTEST * stitchMm ? u1 : at + length;
      const from = band === 0 ? u0 : at - SPLITS * stitchMm;
      stitches.push({ band, from, to });
      at = to;
    }
    return stitches;
  };
  workBands(shape.region, context, spacingMm, divide, sink, threadAt(context), { keeps: keepsOf(context) });
}

/** The thread of each stitch: by its shade, but the first row in its own where it has one. */
function threadAt(context: StitchContext): ShadeAt | undefined {
  const shadeAt = shadesOf(context);
  if (!context.firstRow) return shadeAt;
  return (x, y, along, row, band) => (band === 0 ? 0 : 1 + (shadeAt?.(x, y, along, row) ?? 0));
}
