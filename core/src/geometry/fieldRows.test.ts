import { describe, expect, it } from 'vitest';
import { guidedField, radialField, type DirectionField } from './directionField.ts';
import { fieldRows } from './fieldRows.ts';
import { distanceToOutline } from './outline.ts';
import { isInside, type Region } from './shapes.ts';

const SPACING = 0.8;

function ring(radius: number, count = 90): Float64Array {
  return Float64Array.from({ length: 2 * count }, (_, k) => {
    const angle = (2 * Math.PI * (k >> 1)) / count;
    return radius * (k % 2 ? Math.sin(angle) : Math.cos(angle));
  });
}
const disc: Region = [ring(12)];
const hollow: Region = [ring(12), ring(5).reverse()];
const bent = { points: Float64Array.of(-12, 6, -4, -3, 5, -4, 12, 8), closed: false };

const CASES: [name: string, region: Region, field: DirectionField][] = [
  ['a disc along a bent guide', disc, guidedField([bent], disc)],
  ['a disc across a bent guide', disc, guidedField([bent], disc, Math.PI / 2)],
  ['a hollow disc from its middle', hollow, radialField(0, 0)],
  ['a hollow disc from a place at its edge', hollow, radialField(11, 0)],
];

/** The distance from a place to the nearest of some rows, by looking at every corner and edge of each. */
function nearest(rows: readonly Float64Array[], x: number, y: number): number {
  let least = Infinity;
  for (const points of rows) {
    for (let i = 0; i + 3 < points.length; i += 2) {
      const [ax, ay] = [points[i]!, points[i + 1]!];
      const [ex, ey] = [points[i + 2]! - ax, points[i + 3]! - ay];
      const t = Math.min(1, Math.max(0, ((x - ax) * ex + (y - ay) * ey) / (ex * ex + ey * ey || 1)));
      least = Math.min(least, Math.hypot(x - ax - t * ex, y - ay - t * ey));
    }
  }
  return least;
}

describe('rows that follow a field', () => {
  it.each(CASES)('leave no room for another and do not lie on each other: %s', (_, region, field) => {
    const rows = fieldRows(region, field, SPACING).map(({ points }) => points);
    expect(rows.length).toBeGreaterThan(8);
    for (let y = -12; y <= 12; y += 0.31) {
      for (let x = -12; x <= 12; x += 0.31) {
        if (!isInside(region, x, y) || distanceToOutline(region, x, y) < SPACING) continue;
        expect(nearest(rows, x, y)).toBeLessThan(SPACING);
      }
    }
    rows.forEach((points, i) => {
      const others = rows.filter((other) => other !== rows[i]);
      for (let k = 0; k < points.length; k += 2) {
        // At the outline a row's last step may be cut short beside a neighbour.
        if (distanceToOutline(region, points[k]!, points[k + 1]!) < SPACING / 2) continue;
        expect(nearest(others, points[k]!, points[k + 1]!)).toBeGreaterThan(0.3 * SPACING);
      }
    });
  });

  it.each(CASES)('run the way of the field: %s', (_, region, field) => {
    for (const { points } of fieldRows(region, field, SPACING)) {
      for (let i = 0; i + 3 < points.length; i += 2) {
        const [dx, dy] = [points[i + 2]! - points[i]!, points[i + 3]! - points[i + 1]!];
        if (Math.hypot(dx, dy) < SPACING / 4) continue;
        const angle = field.angleAt(points[i]! + dx / 2, points[i + 1]! + dy / 2);
        // Where guides contradict each other the field turns from one place to the next.
        const ends = [field.angleAt(points[i]!, points[i + 1]!), field.angleAt(points[i + 2]!, points[i + 3]!)];
        if (ends.some((end) => Math.abs(Math.sin(end - angle)) > 0.3)) continue;
        expect(Math.abs(Math.sin(Math.atan2(-dy, dx) - angle))).toBeLessThan(0.2);
      }
    }
  });
});
