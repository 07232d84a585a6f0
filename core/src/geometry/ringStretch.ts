import { placeAt, segmentsOf, type Place } from './points.ts';
import type { Ring } from './shapes.ts';

/** Where on a ring a point is nearest: the edge, the share of it, and how far away, mm. */
export function nearestOnRing(ring: Ring, [x, y]: Place): { edge: number; share: number; mm: number } {
  let best = { edge: 0, share: 0, mm: Infinity };
  let edge = 0;
  for (const [[ax, ay], [bx, by]] of segmentsOf({ points: ring, closed: true })) {
    const [ex, ey] = [bx - ax, by - ay];
    const length2 = ex * ex + ey * ey;
    const share = length2 > 0 ? Math.min(1, Math.max(0, ((x - ax) * ex + (y - ay) * ey) / length2)) : 0;
    const mm = Math.hypot(x - ax - share * ex, y - ay - share * ey);
    if (mm < best.mm) best = { edge, share, mm };
    edge++;
  }
  return best;
}

/**
 * The stretch of a ring, in its own direction, from the place nearest to one point to the place nearest to another; all of it where both
 * are one place.
 */
export function ringStretch(ring: Ring, from: Place, to: Place): Float64Array {
  const count = ring.length / 2;
  const [a, b] = [nearestOnRing(ring, from), nearestOnRing(ring, to)];
  const placeOf = ({ edge, share }: typeof a): [number, number] => {
    const [[ax, ay], [bx, by]] = [placeAt(ring, edge), placeAt(ring, (edge + 1) % count)];
    return [ax + share * (bx - ax), ay + share * (by - ay)];
  };
  const points = placeOf(a);
  // Round once where the end lies before the beginning on the same edge.
  const edges = (b.edge - a.edge + count) % count || (b.share > a.share ? 0 : count);
  for (let k = 1; k <= edges; k++) {
    points.push(...placeAt(ring, (a.edge + k) % count));
  }
  points.push(...placeOf(b));
  return Float64Array.from(points);
}
