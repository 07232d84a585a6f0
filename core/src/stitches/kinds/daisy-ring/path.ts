import type { StitchContext, StitchShape } from '../../kind.ts';
import type { MoveSink } from '../../moves.ts';
import { workTiedLink } from '../../shared/chainLine.ts';

/** The stitch over a loop's end, as a share of the loop. */
const ANCHOR = 0.14;

/** Loops from an inner ring to an outer one: north, south, east and west first, so that the quarters come out even. */
export function workDaisyRing(
  { spots }: StitchShape,
  { innerMm, outerMm, petals }: { innerMm: number; outerMm: number; petals: number },
  { laidMm, angleRad }: StitchContext,
  sink: MoveSink,
): void {
  const anchorMm = Math.max(laidMm, ANCHOR * Math.max(0, outerMm - innerMm));
  const tipMm = Math.max(innerMm + laidMm, outerMm - anchorMm);
  for (let i = 0; i < spots.length; i += 2) {
    for (const turn of turnsInOrder(Math.round(petals))) {
      const angle = angleRad + 2 * Math.PI * turn;
      const [dx, dy] = [Math.cos(angle), -Math.sin(angle)];
      const at = (r: number) => ({ x: spots[i]! + dx * r, y: spots[i + 1]! + dy * r, dx, dy });
      workTiedLink(at(innerMm), at(tipMm), at(tipMm + anchorMm), laidMm * 1.5, sink);
    }
  }
}

/** Where the petals lie, in turns, in working order: the compass points, then quarter by quarter. */
function turnsInOrder(petals: number): number[] {
  const between = petals - 4;
  const quarters = [0, 1, 2, 3].map((quarter) => {
    const count = Math.floor((between * (quarter + 1)) / 4) - Math.floor((between * quarter) / 4);
    return Array.from({ length: count }, (_, k) => (quarter + (k + 1) / (count + 1)) / 4);
  });
  return [0, 0.5, 0.25, 0.75, ...quarters.flat()];
}
