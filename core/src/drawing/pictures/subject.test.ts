import { describe, expect, it } from 'vitest';
import { flattenPath, isInside, type Region } from '../../geometry/index.ts';
import { subjectOf, type Raster } from './index.ts';

type Rgb = readonly [red: number, green: number, blue: number];

function pictureOf(width: number, height: number, colourAt: (x: number, y: number) => Rgb): Raster {
  const rgba = new Uint8ClampedArray(4 * width * height);
  for (let i = 0; i < width * height; i++) rgba.set([...colourAt(i % width, Math.floor(i / width)), 255], 4 * i);
  return { width, height, rgba };
}

/** Of the places in either, the share that lies in both. */
function agreement(picture: Raster, isWithin: (x: number, y: number) => boolean): number {
  const region: Region = flattenPath(subjectOf(picture)!, 0.1).map(({ points }) => points);
  let [both, either] = [0, 0];
  for (let y = 2; y < picture.height; y += 4) {
    for (let x = 2; x < picture.width; x += 4) {
      const [found, wanted] = [isInside(region, x, y), isWithin(x, y)];
      if (found && wanted) both++;
      if (found || wanted) either++;
    }
  }
  return both / either;
}

/** A sky that goes from dark to light, more than the subject differs from it. */
const sky = (y: number, height: number): Rgb => [40 + (150 * y) / height, 60 + (150 * y) / height, 120];

describe('what a picture shows', () => {
  it('is what stands before a sky that changes from top to bottom, whatever lies within it', () => {
    const isWithin = (x: number, y: number): boolean => Math.hypot((x - 400) / 1.4, y - 320) < 150;
    const isEye = (x: number, y: number): boolean => Math.hypot(x - 360, y - 300) < 30;
    const stripes = (x: number): Rgb => (x % 40 < 20 ? [180, 110, 50] : [150, 90, 40]);
    const picture = pictureOf(800, 600, (x, y) =>
      isEye(x, y) ? [70, 100, 120] : isWithin(x, y) ? stripes(x) : sky(y, 600),
    );
    expect(agreement(picture, isWithin)).toBeGreaterThan(0.95);
  });

  it('may be cut off by the lower edge', () => {
    const isWithin = (x: number, y: number): boolean => Math.abs(x - 200) < 40 + (y - 100) / 3 && y > 100;
    const picture = pictureOf(400, 400, (x, y) => (isWithin(x, y) ? [190, 60, 50] : sky(y, 400)));
    expect(agreement(picture, isWithin)).toBeGreaterThan(0.93);
  });

  it.each([
    ['of one colour', () => [120, 120, 120] as const],
    ['of nothing but sky', (_x: number, y: number) => sky(y, 200)],
    ['of a speck', (x: number, y: number) => (Math.hypot(x - 150, y - 100) < 4 ? ([200, 0, 0] as const) : sky(y, 200))],
  ])('is nothing where the picture is %s', (_, colourAt) => {
    expect(subjectOf(pictureOf(300, 200, colourAt))).toBeNull();
  });

  it('is found, or not, in a picture of a few pixels', () => {
    for (const size of [1, 2, 3, 5, 8]) {
      const found = subjectOf(pictureOf(size, size, (x, y) => [(x * 70) % 255, (y * 90) % 255, 20]));
      expect(found === null || found.startsWith('M')).toBe(true);
    }
  });
});
