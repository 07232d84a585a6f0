import { placesOf } from '../../../geometry/index.ts';
import type { StitchContext, StitchShape } from '../../kind.ts';
import type { MoveSink } from '../../moves.ts';
import { workTiedLink } from '../../shared/chainLine.ts';

/** The stitch over a loop's end, as a share of the loop. */
const ANCHOR = 0.14;

/** Loops from an inner ring to an outer one, the first at the top, then round, quarter by quarter: the compass points are only marked. */
export function workDaisyRing(
  { spots }: StitchShape,
  { innerMm, outerMm, petals }: { innerMm: number; outerMm: number; petals: number },
  { laidMm, angleRad }: StitchContext,
  sink: MoveSink,
): void {
  const anchorMm = Math.max(laidMm, ANCHOR * Math.max(0, outerMm - innerMm));
  const tipMm = Math.max(innerMm + laidMm, outerMm - anchorMm);
  for (const [px, py] of placesOf(spots)) {
    const count = Math.round(petals);
    for (let k = 0; k < count; k++) {
      const angle = angleRad + Math.PI / 2 + (2 * Math.PI * k) / count;
      const [dx, dy] = [Math.cos(angle), -Math.sin(angle)];
      const at = (r: number) => ({ x: px + dx * r, y: py + dy * r, dx, dy });
      workTiedLink(at(innerMm), at(tipMm), at(tipMm + anchorMm), laidMm * 1.5, sink);
    }
  }
}
