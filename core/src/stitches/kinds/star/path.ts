import { placesOf } from '../../../geometry/index.ts';
import type { StitchContext, StitchShape } from '../../kind.ts';
import type { MoveSink } from '../../moves.ts';

/** Straight stitches from the points of a star into its middle. */
export function workStar(
  { spots }: StitchShape,
  { armMm, arms }: { armMm: number; arms: number },
  { angleRad }: StitchContext,
  sink: MoveSink,
): void {
  const count = Math.round(arms);
  for (const [x, y] of placesOf(spots)) {
    sink.travel();
    for (let arm = 0; arm < count; arm++) {
      const angle = angleRad + (2 * Math.PI * arm) / count;
      sink.stitch();
      sink.up(x + armMm * Math.cos(angle), y - armMm * Math.sin(angle));
      sink.down(x, y);
    }
  }
}
