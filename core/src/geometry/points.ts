import type { Polyline } from './shapes.ts';

/** A place, mm. */
export type Place = readonly [x: number, y: number];

/**
 * One point of flat coordinates `x0, y0, x1, y1, …`; a negative index counts from the end.
 * Example: `placeAt([0, 0, 3, 4], -1)` is `[3, 4]`.
 * @throws RangeError where there is no such point
 */
export function placeAt(points: ArrayLike<number>, index: number): Place {
  const at = 2 * index + (index < 0 ? points.length : 0);
  const [x, y] = [points[at], points[at + 1]];
  if (x === undefined || y === undefined) throw new RangeError(`placeAt: no point ${index} of ${points.length / 2}`);
  return [x, y];
}

/** The points of flat coordinates, one after the other. */
export function* placesOf(points: ArrayLike<number>): Generator<Place, void> {
  for (let i = 0; i + 1 < points.length; i += 2) yield [points[i]!, points[i + 1]!];
}

/** The straight stretches from point to point; of a closed line the last one leads back to its first point. */
export function* segmentsOf({ points, closed }: Polyline): Generator<readonly [from: Place, to: Place], void> {
  if (points.length === 0) return;
  const first = placeAt(points, 0);
  let from = first;
  for (let i = 2; i + 1 < points.length; i += 2) {
    const to: Place = [points[i]!, points[i + 1]!];
    yield [from, to];
    from = to;
  }
  if (closed && points.length >= 4) yield [from, first];
}
