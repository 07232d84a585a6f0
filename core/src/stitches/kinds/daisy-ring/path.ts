import { placesOf } from '../../../geometry/index.ts';
import type { StitchContext, StitchShape } from '../../kind.ts';
import type { MoveSink } from '../../moves.ts';
import { workTiedLink } from '../../shared/chainLine.ts';

/** The stitch over a loop's end, as a share of the loop. */
const ANCHOR = 0.14;

/** Loops from an inner ring to an outer one, the first at the top: top, bottom and either side first, then what lies between. */
export function workDaisyRing(
  { spots }: StitchShape,
  { innerMm, outerMm, petals }: { innerMm: number; outerMm: number; petals: number },
  { laidMm, angleRad }: StitchContext,
  sink: MoveSink,
): void {
  const anchorMm = Math.max(laidMm, ANCHOR * Math.max(0, outerMm - innerMm));
  const tipMm = Math.max(innerMm + laidMm, outerMm - anchorMm);
  for (const [px, py] of placesOf(spots)) {
    for (const turn of turnsInOrder(Math.round(petals))) {
      const angle = angleRad + Math.PI / 2 + 2 * Math.PI * turn;
      const [dx, dy] = [Math.cos(angle), -Math.sin(angle)];
      const at = (r: number) => ({ x: px + dx * r, y: py + dy * r, dx, dy });
      workTiedLink(at(innerMm), at(tipMm), at(tipMm + anchorMm), laidMm * 1.5, sink);
    }
  }
}

/**
 * Where the petals lie, in turns from the top, evenly for any number; in working order: those at or next to the compass points, then quarter
 * by quarter.
 */
function turnsInOrder(petals: number): number[] {
  const first = new Set([0, 0.5, 0.25, 0.75].map((point) => Math.round(point * petals) % petals));
  const others = Array.from({ length: petals }, (_, k) => k).filter((k) => !first.has(k));
  return [...first, ...others].map((k) => k / petals);
}
