import { expect, it } from 'vitest';
import { circle, wander } from '../testing/shapes.ts';
import { distanceToLines, parallelLine, placesOf, polylineLength, ringArea } from './index.ts';

it('lies all along as far from a line as it is told, whichever way it bends', () => {
  for (let seed = 1; seed <= 12; seed++) {
    const line = wander(seed);
    for (const mm of [0.8, -0.8, 2, -2]) {
      const beside = parallelLine(line, mm);
      expect(beside.points.length, `${seed} ${mm}`).toBeGreaterThan(20);
      for (const [x, y] of placesOf(beside.points)) {
        const away = distanceToLines([line], x, y);
        expect(away).toBeGreaterThan(Math.abs(mm) * 0.98);
        expect(away).toBeLessThan(Math.abs(mm) * 1.02);
      }
    }
  }
});

it('is longer outside a bend and shorter inside it: 2π more for each millimetre round a circle', () => {
  const ring = { points: circle(10), closed: true };
  // With y pointing down a ring of positive area is walked clockwise: outside lies to its left.
  const out = ringArea(ring.points) > 0 ? 1 : -1;
  expect(polylineLength(parallelLine(ring, 2 * out)) / (2 * Math.PI)).toBeCloseTo(12, 1);
  expect(polylineLength(parallelLine(ring, -2 * out)) / (2 * Math.PI)).toBeCloseTo(8, 1);
  expect(parallelLine(ring, 0)).toEqual(ring);
});

it('lies to the left of a line that runs to the right: above it', () => {
  const beside = parallelLine({ points: Float64Array.of(0, 0, 20, 0), closed: false }, 3);
  expect(polylineLength(beside)).toBeCloseTo(20, 6);
  for (const [, y] of placesOf(beside.points)) expect(y).toBeCloseTo(-3, 6);
});

it('has nothing where nothing lies so far from it', () => {
  expect(
    parallelLine({ points: circle(2), closed: true }, 5).points.length *
      parallelLine({ points: circle(2), closed: true }, -5).points.length,
  ).toBe(0);
});
