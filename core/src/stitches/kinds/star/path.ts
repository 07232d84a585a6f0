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
  for (let i = 0; i < spots.length; i += 2) {
    sink.travel();
    for (let arm = 0; arm < count; arm++) {
      const angle = angleRad + (2 * Math.PI * arm) / count;
      sink.stitch();
      sink.up(spots[i]! + armMm * Math.cos(angle), spots[i + 1]! - armMm * Math.sin(angle));
      sink.down(spots[i]!, spots[i + 1]!);
    }
  }
}
