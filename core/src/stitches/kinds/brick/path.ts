import type { StitchContext, StitchShape } from '../../kind.ts';
import type { MoveSink } from '../../moves.ts';
import { workBands, type BandStitch } from '../../shared/bands.ts';

/** What is left at an edge joins its neighbour when it is shorter than this share of a stitch. */
const SHORTEST = 0.3;

/** Even stitches in rows, every second row set off by half a stitch, on one grid over the whole area. */
export function workBrick(
  shape: StitchShape,
  { stitchMm, spacingMm }: { stitchMm: number; spacingMm: number },
  context: StitchContext,
  sink: MoveSink,
): void {
  const divide = (u0: number, u1: number, row: number): BandStitch[] => {
    const phase = (row % 2 === 0 ? 0 : 0.5) * stitchMm;
    const first = Math.floor((u0 - phase) / stitchMm);
    const stitches: BandStitch[] = [];
    let from = u0;
    for (let i = first; from < u1; i++) {
      const end = phase + (i + 1) * stitchMm;
      if (end - from < SHORTEST * stitchMm && end < u1) continue;
      const to = u1 - end < SHORTEST * stitchMm ? u1 : end;
      stitches.push({ band: i, from, to });
      from = to;
    }
    return stitches;
  };
  workBands(shape.region, context, spacingMm, divide, sink);
}
