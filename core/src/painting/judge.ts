import { ARMS_LENGTH_BLUR_MM, deltaE, labOfRgb, type Lab } from '../colour/index.ts';
import { isInside, type Region } from '../geometry/index.ts';
import { Move, neighbourhood, type StitchPath } from '../stitches/index.ts';
import { blur } from './blur.ts';
import type { Ground } from './ground.ts';
import { encoded, LINEAR } from './light.ts';
import { smallPatches } from './shadeStitches.ts';

/** How near stitches come to the picture that they show. */
export interface PaintingReport {
  readonly shades: number;
  readonly stitches: number;
  /** ΔE2000 between picture and stitches in their flat shades, both as seen at arm's length. */
  readonly deltaE: { readonly mean: number; readonly p95: number };
  /** The same for each place in its nearest shade: with this palette nothing can come nearer but by mixing. */
  readonly floor: { readonly mean: number };
  /** The share of the region on which no thread lies. */
  readonly bareShare: number;
  /** The share of stitches in patches of fewer than four. */
  readonly lonelyShare: number;
}

/** Places that are compared lie about this far apart, mm. */
const LOOK_MM = 0.35;

/** What stitches show, laid flat in their shades. */
export interface Worked {
  readonly path: StitchPath;
  /** The colour of each shade, sRGB 0–255. */
  readonly shades: readonly (readonly [r: number, g: number, b: number])[];
  readonly laidMm: number;
  /** The cloth, where it is bare. */
  readonly cloth: readonly [r: number, g: number, b: number];
}

/** Compares a path with the picture that it is to show, over a region. */
export function judgePainting(region: Region, ground: Ground, worked: Worked): PaintingReport {
  const { columns, rows, stepMm } = ground;
  const light = (rgb: readonly number[]): number[] => rgb.map((value) => LINEAR[value]!);
  const shadeLight = worked.shades.map(light);
  const clothLight = light(worked.cloth);
  const labs = worked.shades.map(([r, g, b]) => labOfRgb(r / 255, g / 255, b / 255));
  const shown = new Int16Array(columns * rows).fill(-1);
  layStitches(ground, worked, shown);
  const nearest = nearestShades(ground, labs);
  // Fine cells are put together by fours, in light, before they are blurred.
  const [wide, high, stepTwo] = [columns >> 1, rows >> 1, 2 * stepMm];
  const seen = (lights: (cell: number) => readonly number[] | Float32Array): Float32Array[] => {
    const grids = [0, 1, 2].map(() => new Float32Array(wide * high));
    for (let row = 0, at = 0; row < high; row++) {
      for (let column = 0; column < wide; column++, at++) {
        for (let k = 0; k < 4; k++) {
          const light = lights((2 * row + (k >> 1)) * columns + 2 * column + (k & 1));
          for (let channel = 0; channel < 3; channel++) grids[channel]![at]! += light[channel]! / 4;
        }
      }
    }
    for (const grid of grids) blur(grid, wide, high, ARMS_LENGTH_BLUR_MM / stepTwo);
    return grids;
  };
  const lightNow = new Float32Array(3);
  const picture = seen((cell) => {
    for (let channel = 0; channel < 3; channel++) lightNow[channel] = LINEAR[ground.rgb[3 * cell + channel]!]!;
    return lightNow;
  });
  const stitched = seen((cell) => (shown[cell]! < 0 ? clothLight : shadeLight[shown[cell]!]!));
  const floor = seen((cell) => shadeLight[nearest[cell]!]!);
  const labAt = (grids: readonly Float32Array[], cell: number): Lab =>
    labOfRgb(encoded(grids[0]![cell]!), encoded(grids[1]![cell]!), encoded(grids[2]![cell]!));
  const apart: number[] = [];
  let floorSum = 0;
  let bare = 0;
  const every = Math.max(1, Math.round(LOOK_MM / stepTwo));
  for (let row = 0; row < high; row += every) {
    for (let column = 0; column < wide; column += every) {
      if (!isInside(region, ground.x0 + (column + 0.25) * stepTwo, ground.y0 + (row + 0.25) * stepTwo)) continue;
      const cell = row * wide + column;
      if (shown[2 * row * columns + 2 * column]! < 0) bare++;
      const wanted = labAt(picture, cell);
      apart.push(deltaE(wanted, labAt(stitched, cell)));
      floorSum += deltaE(wanted, labAt(floor, cell));
    }
  }
  apart.sort((a, b) => a - b);
  const places = Math.max(1, apart.length);
  const stitches = segmentsOf(worked.path);
  const lonely = smallPatches(worked.path.shades, neighbourhood(stitches, 1.5 * worked.laidMm)).flat().length;
  return {
    shades: new Set(worked.path.shades).size,
    stitches: worked.path.starts.length,
    deltaE: {
      mean: apart.reduce((sum, value) => sum + value, 0) / places,
      p95: apart[Math.floor(0.95 * apart.length)] ?? 0,
    },
    floor: { mean: floorSum / places },
    bareShare: bare / places,
    lonelyShare: lonely / Math.max(1, worked.path.starts.length),
  };
}

/** Each stitch from where it comes up to where it goes down, `x0, y0, x1, y1, …`. */
export function segmentsOf({ codes, xy, starts }: StitchPath): Float32Array {
  const flat = new Float32Array(4 * starts.length);
  starts.forEach((start, i) => {
    let end = start;
    while (end + 1 < codes.length && codes[end] !== Move.down) end++;
    flat.set([xy[2 * start]!, xy[2 * start + 1]!, xy[2 * end]!, xy[2 * end + 1]!], 4 * i);
  });
  return flat;
}

/** Lays each stitch at its laid width into the cells, later over earlier. */
function layStitches(ground: Ground, { path, laidMm }: Worked, shown: Int16Array): void {
  const { x0, y0, stepMm, columns, rows } = ground;
  const segments = segmentsOf(path);
  const half = laidMm / 2;
  for (let i = 0; i < path.starts.length; i++) {
    const [ax, ay, bx, by] = [segments[4 * i]!, segments[4 * i + 1]!, segments[4 * i + 2]!, segments[4 * i + 3]!];
    const [dx, dy] = [bx - ax, by - ay];
    const length2 = Math.max(1e-12, dx * dx + dy * dy);
    const left = Math.max(0, Math.floor((Math.min(ax, bx) - half - x0) / stepMm));
    const right = Math.min(columns - 1, Math.ceil((Math.max(ax, bx) + half - x0) / stepMm));
    const top = Math.max(0, Math.floor((Math.min(ay, by) - half - y0) / stepMm));
    const bottom = Math.min(rows - 1, Math.ceil((Math.max(ay, by) + half - y0) / stepMm));
    for (let row = top; row <= bottom; row++) {
      for (let column = left; column <= right; column++) {
        const [px, py] = [x0 + column * stepMm - ax, y0 + row * stepMm - ay];
        const share = Math.min(1, Math.max(0, (px * dx + py * dy) / length2));
        if ((px - share * dx) ** 2 + (py - share * dy) ** 2 <= half * half)
          shown[row * columns + column] = path.shades[i]!;
      }
    }
  }
}

/** The nearest shade of each cell. */
function nearestShades({ rgb, columns, rows }: Ground, labs: readonly Lab[]): Uint8Array {
  const known = new Map<number, number>();
  return Uint8Array.from({ length: columns * rows }, (_, cell) => {
    const at = 3 * cell;
    // What differs by half a step of 128 is looked up together.
    const key = ((rgb[at]! >> 1) << 14) | ((rgb[at + 1]! >> 1) << 7) | (rgb[at + 2]! >> 1);
    let best = known.get(key);
    if (best === undefined) {
      const lab = labOfRgb(rgb[at]! / 255, rgb[at + 1]! / 255, rgb[at + 2]! / 255);
      const far = labs.map((shade) => deltaE(lab, shade));
      best = far.indexOf(Math.min(...far));
      known.set(key, best);
    }
    return best;
  });
}
