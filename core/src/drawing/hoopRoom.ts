import { placesOf } from '../geometry/index.ts';
import { innerHalvesMm, type HoopSize } from '../materials/index.ts';
import type { Hoop, HoopPlace, Piece } from '../piece/index.ts';

/** The middles of a hoop on the cloth: where none are set, one in the middle. */
export function positionsOf(piece: { readonly positions: readonly HoopPlace[] }): readonly HoopPlace[] {
  return piece.positions.length > 0 ? piece.positions : [[0, 0]];
}

/** The hoop that is used at a position: another round one where its size is said. */
export function hoopAt<Ring extends HoopSize>(hoop: Ring, [, , nominalMm]: HoopPlace): Ring {
  return nominalMm === undefined || nominalMm === hoop.nominalMm ? hoop : { ...hoop, nominalMm, shortMm: null };
}

/** The hoop about all of a piece; null where it has none, or is moved from position to position. */
export function hoopAboutAll({ hoop, positions }: Pick<Piece, 'hoop' | 'positions'>): Hoop | null {
  return positions.length > 1 ? null : hoop;
}

/** How much farther the hoops of all positions reach than the piece's own would in one place, across and up and down, mm. */
export function spreadOfPositions({
  hoop,
  positions,
}: Pick<Piece, 'hoop' | 'positions'>): [across: number, upright: number] {
  const reach = (axis: 0 | 1): number => {
    if (!hoop || positions.length < 2) return 0;
    const own = axis === 0 ? hoop.nominalMm : (hoop.shortMm ?? hoop.nominalMm);
    const spans = positions.map((place) => {
      const { nominalMm, shortMm } = hoopAt(hoop, place);
      const half = (axis === 0 ? nominalMm : (shortMm ?? nominalMm)) / 2;
      return [place[axis] - half, place[axis] + half] as const;
    });
    return Math.max(0, Math.max(...spans.map(([, to]) => to)) - Math.min(...spans.map(([from]) => from)) - own);
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
export function clearInHoopMm(arrays: Iterable<Float64Array>, hoop: HoopSize, positions: readonly HoopPlace[]): number {
  const rings = positions.map((place) => ({ place, halves: innerHalvesMm(hoopAt(hoop, place)) }));
  let clear = Math.max(...rings.map(({ halves }) => Math.min(...halves)));
  for (const points of arrays) {
    for (const [x, y] of placesOf(points)) {
      let best = -Infinity;
      for (const { place, halves } of rings) {
        best = Math.max(best, insideEllipseMm(x - place[0], y - place[1], ...halves));
      }
      clear = Math.min(clear, best);
    }
  }
  return clear;
}
