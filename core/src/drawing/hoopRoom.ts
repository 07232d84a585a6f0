import { placesOf } from '../geometry/index.ts';
import { innerHalvesMm, type HoopSize } from '../materials/index.ts';
import type { Hoop, Piece } from '../piece/index.ts';

/** The middles of a hoop on the cloth: where none are set, one in the middle. */
export function positionsOf(piece: {
  readonly positions: readonly (readonly [number, number])[];
}): readonly (readonly [number, number])[] {
  return piece.positions.length > 0 ? piece.positions : [[0, 0]];
}

/** The hoop about all of a piece; null where it has none, or is moved from position to position. */
export function hoopAboutAll({ hoop, positions }: Pick<Piece, 'hoop' | 'positions'>): Hoop | null {
  return positions.length > 1 ? null : hoop;
}

/** How far the positions of a hoop lie apart, across and up and down, mm. */
export function spreadOfPositions(
  positions: readonly (readonly [number, number])[],
): [across: number, upright: number] {
  const reach = (axis: 0 | 1): number => {
    const along = positions.map((position) => position[axis]);
    return along.length > 1 ? Math.max(...along) - Math.min(...along) : 0;
  };
  return [reach(0), reach(1)];
}

/**
 * How far a place lies inside an ellipse about the origin, mm; negative outside. First order from the ellipse, so exact for circles
 * and near the edge, which is where it matters.
 */
export function insideEllipseMm(x: number, y: number, a: number, b: number): number {
  const rho = Math.hypot(x / a, y / b);
  if (rho < 1e-9) return Math.min(a, b);
  const slope = Math.hypot(x / (a * a), y / (b * b)) / rho;
  return Math.min(Math.min(a, b), (1 - rho) / slope);
}

/**
 * The room between a design and the ring at the nearest, mm: each place counts in the position where it lies best. Negative where
 * something lies outside every position.
 * @param arrays flat x, y on the cloth, mm
 */
export function clearInHoopMm(
  arrays: Iterable<Float64Array>,
  hoop: HoopSize,
  positions: readonly (readonly [number, number])[],
): number {
  const [a, b] = innerHalvesMm(hoop);
  let clear = Math.min(a, b);
  for (const points of arrays) {
    for (const [x, y] of placesOf(points)) {
      let best = -Infinity;
      for (const [px, py] of positions) {
        best = Math.max(best, insideEllipseMm(x - px, y - py, a, b));
      }
      clear = Math.min(clear, best);
    }
  }
  return clear;
}
