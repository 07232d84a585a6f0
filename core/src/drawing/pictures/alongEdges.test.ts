import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { mean, seededRandom } from '../../measure/index.ts';
import { flattenPath, type Place } from '../../geometry/index.ts';
import { drawFreehand } from '../helpers/index.ts';
import { alongEdges, bestWay } from './alongEdges.ts';
import type { Raster } from './raster.ts';

const SIZE = 300;
const MIDDLE = SIZE / 2;
const RADIUS = 100;

/** A noisy grey picture, its light told by the distance from its middle. */
function round(light: (distance: number) => number, noise: number): Raster {
  const random = seededRandom(5);
  const rgba = new Uint8ClampedArray(SIZE * SIZE * 4).fill(255);
  for (let i = 0; i < SIZE * SIZE; i++) {
    const [x, y] = [(i % SIZE) + 0.5, Math.floor(i / SIZE) + 0.5];
    const value = light(Math.hypot(x - MIDDLE, y - MIDDLE)) + random.between(-noise, noise);
    for (let k = 0; k < 3; k++) rgba[4 * i + k] = value;
  }
  return { width: SIZE, height: SIZE, rgba };
}

/** A hand that goes round, shaking by some pixels. */
function shaky(from: number, to: number, shake: number): Place[] {
  return Array.from({ length: 90 }, (_, i) => {
    const angle = from + ((to - from) * i) / 90;
    const r = RADIUS + shake * Math.sin(3 * angle + 1) + (shake / 3) * Math.sin(11 * angle);
    return [MIDDLE + r * Math.cos(angle), MIDDLE + r * Math.sin(angle)];
  });
}

const offBy = (places: readonly Place[]): number[] =>
  places.map(([x, y]) => Math.abs(Math.hypot(x - MIDDLE, y - MIDDLE) - RADIUS));

describe('a stroke along the edges of a picture', () => {
  const disc = round((distance) => (distance < RADIUS ? 90 : 200), 12);
  const soft = round((distance) => 145 + 55 * Math.tanh((distance - RADIUS) / 3), 12);
  const ring = round((distance) => (Math.abs(distance - RADIUS) < 2.5 ? 60 : 230), 12);

  it.each([
    ['a sharp edge', disc],
    ['a soft edge', soft],
    ['the middle of a drawn line', ring],
  ])('comes to lie on %s, though the hand shook', (_, picture) => {
    const hand = shaky(0, 2 * Math.PI, 6);
    expect(mean(offBy(hand))).toBeGreaterThan(3);
    const lain = offBy(alongEdges(picture, hand, true, 10));
    expect(mean(lain)).toBeLessThan(0.8);
    expect(Math.max(...lain)).toBeLessThan(3);
  });

  it('stays as drawn where nothing is within reach', () => {
    const hand = shaky(0, 2, 0).map(([x, y]): Place => [(x + MIDDLE) / 2, (y + MIDDLE) / 2]);
    const lain = alongEdges(disc, hand, false, 10);
    const away = lain.map(([x, y]) => Math.abs(Math.hypot(x - MIDDLE, y - MIDDLE) - RADIUS / 2));
    expect(Math.max(...away)).toBeLessThan(0.5);
  });

  it('takes the way that gains most, of all there are', () => {
    const rows = fc.array(fc.array(fc.integer({ min: 0, max: 20 }), { minLength: 4, maxLength: 4 }), {
      minLength: 2,
      maxLength: 5,
    });
    fc.assert(
      fc.property(rows, (table) => {
        const gains = table.map((row) => Float64Array.from(row, (value) => value / 20));
        const worth = (way: readonly number[]): number =>
          way.reduce((sum, at, row) => {
            const moved = row === 0 ? 0 : Math.abs(at - way[row - 1]!);
            return moved > 1 ? -Infinity : sum + gains[row]![at]! - 0.12 * moved;
          }, 0);
        const all = gains.reduce<number[][]>(
          (ways, _) => ways.flatMap((way) => [0, 1, 2, 3].map((k) => [...way, k])),
          [[]],
        );
        expect(worth(bestWay(gains))).toBeCloseTo(Math.max(...all.map(worth)), 9);
      }),
      { seed: 7, numRuns: 150 },
    );
  });

  it('makes a part that follows the picture, whatever its place on the cloth', () => {
    // Four pixels to the millimetre, the picture's middle 10 mm right of the hoop's.
    const toPicture = [4, 0, 0, 4, MIDDLE - 40, MIDDLE] as const;
    const hand = shaky(0, 2 * Math.PI, 5).flatMap(([x, y]) => [(x - toPicture[4]) / 4, (y - MIDDLE) / 4]);
    const part = drawFreehand('area', hand, [], {
      smoothMm: 0.2,
      snapMm: 2,
      edges: { picture: disc, toPicture, reachMm: 2.5 },
    });
    const [outline] = flattenPath(part!.path, 0.02);
    const radii = Array.from({ length: outline!.points.length / 2 }, (_, i) =>
      Math.hypot(outline!.points[2 * i]! - 10, outline!.points[2 * i + 1]!),
    );
    expect(mean(radii)).toBeCloseTo(RADIUS / 4, 0);
    expect(Math.max(...radii) - Math.min(...radii)).toBeLessThan(1.2);
  });
});
