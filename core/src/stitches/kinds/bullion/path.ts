import { placesOf } from '../../../geometry/index.ts';
import type { StitchContext, StitchShape } from '../../kind.ts';
import type { MoveSink } from '../../moves.ts';
import { wrapsToCover } from '../../shared/knotSize.ts';

/** Down at the far end, up again where it began, the thread wound round the needle, down at the far end: a coil over the span. */
export function workBullion(
  { spots }: StitchShape,
  { lengthMm, wraps }: { lengthMm: number; wraps: number },
  { angleRad, bundleMm, coreMm }: StitchContext,
  sink: MoveSink,
): void {
  const turns = Math.round(wraps) || wrapsToCover(lengthMm, bundleMm);
  const [dx, dy] = [(Math.cos(angleRad) * lengthMm) / 2, (-Math.sin(angleRad) * lengthMm) / 2];
  for (const [x, y] of placesOf(spots)) {
    sink.travel();
    sink.stitch();
    sink.up(x - dx, y - dy);
    sink.down(x + dx, y + dy);
    sink.up(x - dx, y - dy);
    sink.wrap(turns, coreMm);
    sink.down(x + dx, y + dy);
  }
}
