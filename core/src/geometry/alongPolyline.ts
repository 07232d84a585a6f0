import type { Polyline } from './shapes.ts';

/** The length along a polyline at each of its points. */
export function lengthsOf(points: Float64Array): Float64Array {
  const lengths = new Float64Array(points.length / 2);
  for (let i = 1; i < lengths.length; i++) {
    lengths[i] =
      lengths[i - 1]! + Math.hypot(points[2 * i]! - points[2 * i - 2]!, points[2 * i + 1]! - points[2 * i - 1]!);
  }
  return lengths;
}

/** The place at a length along a polyline. */
export function placeOn(points: Float64Array, lengths: Float64Array, mm: number): [x: number, y: number] {
  let [low, high] = [0, lengths.length - 1];
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (lengths[middle]! <= mm) low = middle;
    else high = middle;
  }
  const share = Math.min(1, Math.max(0, (mm - lengths[low]!) / (lengths[high]! - lengths[low]! || 1)));
  return [
    points[2 * low]! + share * (points[2 * high]! - points[2 * low]!),
    points[2 * low + 1]! + share * (points[2 * high + 1]! - points[2 * low + 1]!),
  ];
}

/** A polyline walked the other way. */
export function reversedLine({ points, closed }: Polyline): Polyline {
  const out = new Float64Array(points.length);
  for (let i = 0; i < points.length; i += 2) {
    out[i] = points[points.length - 2 - i]!;
    out[i + 1] = points[points.length - 1 - i]!;
  }
  return { points: out, closed };
}

/** A ring as a way that comes back to where it began. */
export function wayRound(ring: Float64Array): Float64Array {
  const way = new Float64Array(ring.length + 2);
  way.set(ring);
  way.set(ring.subarray(0, 2), ring.length);
  return way;
}
