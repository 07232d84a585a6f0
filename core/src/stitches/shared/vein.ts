import { lengthsOf, middleLine, placeOn, reversedLine, type Polyline, type Region } from '../../geometry/index.ts';

/** The line along the middle of a leaf, from its foot to its tip, with places by length. */
export interface Vein {
  readonly line: Polyline;
  readonly lengthMm: number;
  /** A place and the unit direction there. */
  place(mm: number): { x: number; y: number; dx: number; dy: number };
}

/** Directions are taken over this length to either side, mm. */
const LOOK_MM = 0.6;

/**
 * The vein of a leaf: as the person laid it, from foot to tip, or found.
 * @param turned takes the other end for the tip
 */
export function veinOf(region: Region, given: Polyline | undefined, turned: boolean): Vein | null {
  const found = given ?? middleLine(region);
  if (!found || found.points.length < 4) return null;
  const line = turned ? reversedLine(found) : found;
  const lengths = lengthsOf(line.points);
  const lengthMm = lengths.at(-1)!;
  if (lengthMm < 1e-6) return null;
  return {
    line,
    lengthMm,
    place: (mm) => {
      const [x, y] = placeOn(line.points, lengths, mm);
      const [ax, ay] = placeOn(line.points, lengths, mm - LOOK_MM);
      const [bx, by] = placeOn(line.points, lengths, mm + LOOK_MM);
      const length = Math.hypot(bx - ax, by - ay) || 1;
      return { x, y, dx: (bx - ax) / length, dy: (by - ay) / length };
    },
  };
}
