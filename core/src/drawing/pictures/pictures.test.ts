import { describe, expect, it } from 'vitest';
import { flattenPath, polylineLength, regionArea, subtract, unite } from '../../geometry/index.ts';
import { seededRandom } from '../../measure/index.ts';
import type { Piece } from '../../piece/index.ts';
import { outlinesOf } from './borders.ts';
import {
  pageWidthMm,
  project,
  projection,
  readPicture,
  squaredUp,
  WHOLE,
  type Corners,
  type PictureOptions,
  type Raster,
} from './index.ts';

const OPTIONS: PictureOptions = {
  as: 'colours',
  corners: WHOLE,
  widthMm: 100,
  colours: 5,
  leastMm2: 2,
  smoothMm: 0.3,
  darkness: 0.5,
  leavesGround: true,
};

/** A picture of discs in flat colours on white, with noise; the last drawn lie in front. */
function discs(size: number, list: readonly [x: number, y: number, r: number, hex: string][], noise = 0): Raster {
  const random = seededRandom(3);
  const rgba = new Uint8ClampedArray(size * size * 4).fill(255);
  for (let y = 0; y < size; y++) {
    for (let x = 0; x < size; x++) {
      const at = (y * size + x) * 4;
      for (const [cx, cy, r, hex] of list) {
        if (Math.hypot(x + 0.5 - cx, y + 0.5 - cy) > r) continue;
        for (let k = 0; k < 3; k++) rgba[at + k] = parseInt(hex.slice(1 + 2 * k, 3 + 2 * k), 16);
      }
      for (let k = 0; k < 3; k++) rgba[at + k]! += random.between(-noise, noise);
    }
  }
  return { width: size, height: size, rgba };
}
function read(raster: Raster, options: Partial<PictureOptions> = {}): Piece {
  const outcome = readPicture(raster, { ...OPTIONS, ...options }, null, 'id', 'picture');
  if (!outcome.ok) throw new Error(outcome.problem);
  return outcome.value;
}
const areaOf = (path: string): number =>
  regionArea(
    unite(
      flattenPath(path, 0.02).map(({ points }) => points),
      'evenodd',
    ),
  );

describe('pictures by their colours', () => {
  const three = discs(
    400,
    [
      [120, 150, 90, '#b03040'],
      [230, 160, 80, '#3060a0'],
      [200, 280, 60, '#e0b040'],
    ],
    12,
  );

  it('give each disc as a part of its size, and leave the ground to the cloth', () => {
    const piece = read(three);
    expect(piece.drawing.parts).toHaveLength(3);
    const areas = piece.drawing.parts.map(({ path }) => areaOf(path)).sort((a, b) => a - b);
    // Two lie whole, the first is partly behind the second.
    expect(areas[0]! / (Math.PI * 15 ** 2)).toBeCloseTo(1, 1);
    expect(areas[2]! / (Math.PI * 20 ** 2)).toBeCloseTo(1, 1);
  });

  it('keep a small but telling colour beside large ones', () => {
    const eye = discs(
      300,
      [
        [150, 150, 120, '#6b4a2f'],
        [150, 60, 50, '#8a6a45'],
        [170, 150, 9, '#3aa05a'],
      ],
      14,
    );
    const hexes = read(eye, { colours: 4, leastMm2: 1 }).palette.map(({ hex }) => hex);
    const isGreen = (hex: string): boolean => {
      const [r, g, b] = [1, 3, 5].map((i) => parseInt(hex.slice(i, i + 2), 16)) as [number, number, number];
      return g > r + 40 && g > b + 30;
    };
    expect(hexes.some(isGreen)).toBe(true);
  });

  it.each([1, 2, 3, 4])('share their borders: neighbours neither gap nor overlap (seed %i)', (seed) => {
    const random = seededRandom(seed);
    const size = 60;
    const seeds = Array.from({ length: 9 }, () => [random.between(0, size), random.between(0, size)] as const);
    const labels = Int32Array.from({ length: size * size }, (_, i) => {
      const [x, y] = [i % size, Math.floor(i / size)];
      const distances = seeds.map(([sx, sy]) => Math.hypot(sx - x, sy - y) + 2 * Math.sin(x / 3 + y / 5));
      return distances.indexOf(Math.min(...distances));
    });
    const regions = [...outlinesOf(labels, size, size, 0.8).values()].map((path) =>
      unite(
        flattenPath(path, 0.01).map(({ points }) => points),
        'evenodd',
      ),
    );
    const sum = regions.reduce((total, region) => total + regionArea(region), 0);
    const together = unite(regions.flat(), 'nonzero');
    expect(regionArea(together) / (size * size)).toBeGreaterThan(0.995);
    expect(sum / regionArea(together)).toBeCloseTo(1, 3);
    // Only where a region is thinner than the smoothing may its two sides cross and leave a hair.
    const square = Float64Array.of(1, 1, size - 1, 1, size - 1, size - 1, 1, size - 1);
    expect(regionArea(subtract([square], together)) / size ** 2).toBeLessThan(0.0005);
  });

  it('of pure noise, a quarter of a million regions, end in no more regions than can be stitched', () => {
    const random = seededRandom(9);
    const size = 500;
    const rgba = Uint8ClampedArray.from({ length: size * size * 4 }, (_, i) =>
      i % 4 === 3 ? 255 : random.between(0, 256),
    );
    const piece = read({ width: size, height: size, rgba }, { colours: 12, leastMm2: 0.01 });
    expect(piece.drawing.parts.length).toBeGreaterThan(1);
    expect(piece.drawing.parts.length).toBeLessThanOrEqual(1200);
  });

  it.each([
    ['one pixel', discs(1, [])],
    ['one colour all over', discs(50, [])],
  ])('of %s are refused in a sentence', (_name, raster) => {
    const outcome = readPicture(raster, OPTIONS, null, 'id', 'x');
    expect(outcome.ok ? '' : outcome.problem).toMatch(/a single colour/);
  });
});

describe('drawn lines', () => {
  const ring = (size: number, r: number, pen: number): Raster => {
    const rgba = new Uint8ClampedArray(size * size * 4).fill(255);
    for (let i = 0; i < size * size; i++) {
      const far = Math.hypot((i % size) + 0.5 - size / 2, Math.floor(i / size) + 0.5 - size / 2);
      const isCross = Math.abs((i % size) - size / 2) < pen / 2 && far > r && far < r * 1.4;
      // The page is darker to one side, as photographed pages are.
      const shade = 250 - (i % size) / 5;
      const value = Math.abs(far - r) < pen / 2 || isCross ? 40 : shade;
      rgba.fill(value, 4 * i, 4 * i + 3);
    }
    return { width: size, height: size, rgba };
  };

  it('run along their middle, as long and as wide as drawn', () => {
    const parts = read(ring(500, 150, 7), { as: 'lines' }).drawing.parts;
    expect(parts.every(({ kind }) => kind === 'line')).toBe(true);
    const length = parts.reduce(
      (sum, { path }) => sum + flattenPath(path, 0.02).reduce((s, run) => s + polylineLength(run), 0),
      0,
    );
    expect(length / (2 * Math.PI * 30 + 2 * 12)).toBeCloseTo(1, 1);
    // To a pixel: 0.2 mm.
    expect(Math.abs(parts[0]!.strokeMm! - 1.4)).toBeLessThan(0.21);
  });

  it('become areas of ink where that is asked for', () => {
    const [part] = read(ring(500, 150, 20), { as: 'ink' }).drawing.parts;
    expect(areaOf(part!.path) / (2 * Math.PI * 30 * 4)).toBeGreaterThan(0.95);
    expect(part!.kind).toBe('area');
  });
});

describe('a page squared up', () => {
  const corners: Corners = [
    [0.12, 0.1],
    [0.9, 0.2],
    [0.8, 0.92],
    [0.2, 0.8],
  ];
  it('has its corners where they were set', () => {
    const map = projection(corners);
    [
      [0, 0],
      [1, 0],
      [1, 1],
      [0, 1],
    ].forEach(([u, v], i) => {
      const [x, y] = project(map, u!, v!);
      expect(x).toBeCloseTo(corners[i]![0], 9);
      expect(y).toBeCloseTo(corners[i]![1], 9);
    });
  });

  it('is as wide as a known length on it says', () => {
    const map = projection(corners);
    const [from, to] = [project(map, 0.2, 0.3), project(map, 0.7, 0.9)];
    // On a page 200 mm wide and 300 high this stretch is so long.
    expect(pageWidthMm(corners, from, to, 1.5, Math.hypot(0.5 * 200, 0.6 * 300))).toBeCloseTo(200, 6);
  });

  it('shows what lay on it where it lay', () => {
    const map = projection(corners);
    const size = 300;
    const [px, py] = project(map, 0.3, 0.6);
    const photo = discs(size, [[px * size, py * size, 8, '#000000']]);
    const page = squaredUp(photo, corners);
    let [sx, sy, n] = [0, 0, 0];
    for (let i = 0; i < page.width * page.height; i++) {
      if (page.rgba[4 * i]! > 100) continue;
      [sx, sy, n] = [sx + (i % page.width), sy + Math.floor(i / page.width), n + 1];
    }
    expect(sx / n / page.width).toBeCloseTo(0.3, 1);
    expect(sy / n / page.height).toBeCloseTo(0.6, 1);
  });

  it('is refused where its corners cross', () => {
    const crossed = [corners[0], corners[2], corners[1], corners[3]] as Corners;
    const outcome = readPicture(discs(30, []), { ...OPTIONS, corners: crossed }, null, 'id', 'x');
    expect(outcome.ok ? '' : outcome.problem).toMatch(/corners/);
  });
});
