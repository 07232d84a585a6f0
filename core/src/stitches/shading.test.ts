import { describe, expect, it } from 'vitest';
import { bundleDiameterMm, laidWidthMm, threadKind } from '../materials/index.ts';
import { circle, rectangle } from '../testing/shapes.ts';
import { measurePath, splitByShade, stitchKind, STITCHES, workStitch, type StitchContext } from './index.ts';
import { boxOf, type Region } from '../geometry/index.ts';

const COTTON = threadKind('stranded-cotton');
const CONTEXT: StitchContext = {
  laidMm: laidWidthMm(COTTON, 2),
  bundleMm: bundleDiameterMm(COTTON, 2),
  coreMm: 0.69,
  heightMm: 0.32,
  angleRad: 0,
  seed: 5,
};
const MEASURE = { clothMm: 0, bundleMm: 0.5, slack: 0, travelMm: 10, pace: { findSeconds: 0, care: 1 } };
const HAND_ON = STITCHES.filter(({ canShade, id }) => canShade && id !== 'needle-painting').map(({ id }) => id);
const LEAF: Region = [Float64Array.from(circle(1).map((value, i) => value * (i % 2 === 0 ? 24 : 9)))];

/** What lies in front in each shade; a stitch on lines is worked along the middle of the region. */
const frontOf = (id: (typeof HAND_ON)[number], region: Region, shades?: StitchContext['shades']): number[] => {
  const { minX, maxX, minY, maxY } = boxOf(region.map((points) => points))!;
  const middle = { points: Float64Array.of(minX, (minY + maxY) / 2, maxX, (minY + maxY) / 2), closed: false };
  const lines = stitchKind(id).worksOn === 'line' ? [middle] : [];
  const path = workStitch(id, { region, lines, spots: new Float64Array(0) }, {}, { ...CONTEXT, shades });
  return splitByShade(path, shades?.count ?? 1).map((own) => measurePath(own, MEASURE).quantities.frontMm);
};

describe('shades of one area', () => {
  it.each(HAND_ON)('%s hands three over: each has its share, and together they are what one shade is', (id) => {
    // Steep flies are for leaves: on a broad block most of it would lie beside the last of them.
    for (const region of id === 'fly-leaf' ? [LEAF] : [[rectangle(30, 24)], LEAF]) {
      const [whole] = frontOf(id, region);
      const each = frontOf(id, region, { count: 3, borders: [] });
      expect(each).toHaveLength(3);
      const all = each.reduce((sum, mm) => sum + mm, 0);
      expect(all / whole!).toBeGreaterThan(0.93);
      expect(all / whole!).toBeLessThan(1.07);
      for (const mm of each) {
        // The tip of a leaf holds little.
        expect(mm / all).toBeGreaterThan(0.07);
        expect(mm / all).toBeLessThan(0.62);
      }
    }
  });

  it.each(HAND_ON)('%s hands over where a border is drawn', (id) => {
    // A line upright and one across, each a quarter of the way in: one of the two is met by the rows of every filling.
    const borders = [
      { points: Float64Array.of(-7.5, -40, -7.5, 40), closed: false },
      { points: Float64Array.of(-60, -6, 60, -6), closed: false },
    ];
    const shares = borders.map((border) => {
      const [first = 0, second = 0] = frontOf(
        id,
        [rectangle(30, 24)].map((ring) => ring.map((value, i) => value - (i % 2 === 0 ? 15 : 12))),
        {
          count: 2,
          borders: [border],
        },
      );
      return Math.min(first, second) / (first + second);
    });
    expect(Math.max(...shares)).toBeGreaterThan(0.15);
    expect(Math.max(...shares)).toBeLessThan(0.45);
  });
});
