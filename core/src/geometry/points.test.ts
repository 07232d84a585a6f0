import { expect, it } from 'vitest';
import { placeAt, placesOf, segmentsOf } from './index.ts';

const points = Float64Array.of(0, 0, 3, 0, 3, 4);

it('a point is found from either end, and one that is not there is told of', () => {
  expect([placeAt(points, 0), placeAt(points, 2), placeAt(points, -1)]).toEqual([
    [0, 0],
    [3, 4],
    [3, 4],
  ]);
  expect(() => placeAt(points, 3)).toThrow(RangeError);
  expect(() => placeAt(points, -4)).toThrow(RangeError);
});

it('points and stretches come in order; a closed line comes back to where it began', () => {
  expect([...placesOf(points)]).toEqual([
    [0, 0],
    [3, 0],
    [3, 4],
  ]);
  const lengths = (closed: boolean): number[] =>
    Array.from(segmentsOf({ points, closed }), ([[ax, ay], [bx, by]]) => Math.hypot(bx - ax, by - ay));
  expect(lengths(false)).toEqual([3, 4]);
  expect(lengths(true)).toEqual([3, 4, 5]);
  expect([...segmentsOf({ points: new Float64Array(0), closed: true })]).toEqual([]);
});
