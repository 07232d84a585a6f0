import type { Ring } from './shapes.ts';

type Place = readonly [x: number, y: number];

/** Where on a ring a point is nearest: the edge, the share of it, and how far away, mm. */
export function nearestOnRing(ring: Ring, [x, y]: Place): { edge: number; share: number; mm: number } {
  let best = { edge: 0, share: 0, mm: Infinity };
  for (let i = 0; i < ring.length; i += 2) {
    const j = (i + 2) % ring.length;
    const [ax, ay] = [ring[i]!, ring[i + 1]!];
    const [ex, ey] = [ring[j]! - ax, ring[j + 1]! - ay];
    const length2 = ex * ex + ey * ey;
    const share = length2 > 0 ? Math.min(1, Math.max(0, ((x - ax) * ex + (y - ay) * ey) / length2)) : 0;
    const mm = Math.hypot(x - ax - share * ex, y - ay - share * ey);
    if (mm < best.mm) best = { edge: i / 2, share, mm };
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
    const next = (edge + 1) % count;
    const at = (k: 0 | 1): number => ring[2 * edge + k]! + share * (ring[2 * next + k]! - ring[2 * edge + k]!);
    return [at(0), at(1)];
  };
  const points = placeOf(a);
  // Round once where the end lies before the beginning on the same edge.
  const edges = (b.edge - a.edge + count) % count || (b.share > a.share ? 0 : count);
  for (let k = 1; k <= edges; k++) {
    const corner = (a.edge + k) % count;
    points.push(ring[2 * corner]!, ring[2 * corner + 1]!);
  }
  points.push(...placeOf(b));
  return Float64Array.from(points);
}
