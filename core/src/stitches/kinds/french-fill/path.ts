import { boxOf, inscribedCircle, offset, polylineLength, type Region } from '../../../geometry/index.ts';
import type { StitchContext, StitchShape } from '../../kind.ts';
import type { MoveSink } from '../../moves.ts';
import { workKnot } from '../../shared/knot.ts';
import { knotDiameterMm } from '../../shared/knotSize.ts';

/** More rows inward than this no area takes. */
const MOST_ROWS = 400;

/** Knots along the edge first, then row by row inward; where only a gap is left, a knot of one wrap. */
export function workFrenchFill(
  { region }: StitchShape,
  { wraps, closeness }: { wraps: number; closeness: number },
  { coreMm, bundleMm }: StitchContext,
  sink: MoveSink,
): void {
  const turns = Math.round(wraps);
  const across = knotDiameterMm(turns, bundleMm, coreMm);
  const pitch = across * closeness;
  let row: Region = offset(region, -across / 2);
  for (let i = 0; i < MOST_ROWS && row.length > 0; i++) {
    for (const ring of row) {
      for (const [x, y] of evenly(ring, pitch)) workKnot(x, y, turns, coreMm, sink);
    }
    const inner = offset(row, -pitch * ROW_CLOSENESS);
    if (inner.length === 0) fillGap(row, knotDiameterMm(1, bundleMm, coreMm), across, coreMm, sink);
    row = inner;
  }
}

/** Rows lie in the hollows of the last, so they come a little closer than the knots of a row. */
const ROW_CLOSENESS = 0.92;

/** The innermost row leaves a gap: a small knot closes it where it has room. */
function fillGap(row: Region, smallMm: number, acrossMm: number, coreMm: number, sink: MoveSink): void {
  const gap = inscribedCircle(row);
  if (gap && gap.r > (acrossMm + smallMm) / 2.6) workKnot(gap.x, gap.y, 1, coreMm, sink);
}

/** Places on a ring, evenly apart whatever its corners; a ring too short for two has one in its middle. */
function evenly(ring: Float64Array, pitchMm: number): [x: number, y: number][] {
  const length = polylineLength({ points: ring, closed: true });
  const count = Math.floor(length / pitchMm + 0.1);
  if (count < 2) {
    const box = boxOf([ring])!;
    return [[(box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2]];
  }
  const places: [number, number][] = [];
  const step = length / count;
  let [walked, next] = [0, 0];
  for (let i = 0; i < ring.length && places.length < count; i += 2) {
    const [ax, ay] = [ring[i]!, ring[i + 1]!];
    const [bx, by] = [ring[(i + 2) % ring.length]!, ring[(i + 3) % ring.length]!];
    const edge = Math.hypot(bx - ax, by - ay);
    for (; next <= walked + edge && places.length < count; next += step) {
      const share = edge > 0 ? (next - walked) / edge : 0;
      places.push([ax + share * (bx - ax), ay + share * (by - ay)]);
    }
    walked += edge;
  }
  return places;
}
