import type { Raster } from './raster.ts';

export type Corner = readonly [x: number, y: number];
/** Top left, top right, bottom right, bottom left, as shares of width and height. */
export type Corners = readonly [Corner, Corner, Corner, Corner];

/** Corners that leave a picture as it is. */
export const WHOLE: Corners = [
  [0, 0],
  [1, 0],
  [1, 1],
  [0, 1],
];

/** Whether corners leave the picture as it is. */
export function isWhole(corners: Corners): boolean {
  return corners.every(([x, y], i) => x === WHOLE[i]![0] && y === WHOLE[i]![1]);
}

/** Whether four corners go round one way without crossing: only such a page can be squared up. */
export function isConvex(corners: Corners): boolean {
  return corners.every((corner, i) => {
    const [next, after] = [corners[(i + 1) % 4]!, corners[(i + 2) % 4]!];
    const turn = (next[0] - corner[0]) * (after[1] - next[1]) - (next[1] - corner[1]) * (after[0] - next[0]);
    return turn > 1e-4;
  });
}

/**
 * The map from the unit square to four corners, as the nine numbers of a projective map (Heckbert 1989, section 2.2.3).
 * @param corners must be convex
 */
export function projection(corners: Corners): readonly number[] {
  const [[x0, y0], [x1, y1], [x2, y2], [x3, y3]] = corners;
  const [dx1, dy1] = [x1 - x2, y1 - y2];
  const [dx2, dy2] = [x3 - x2, y3 - y2];
  const [sx, sy] = [x0 - x1 + x2 - x3, y0 - y1 + y2 - y3];
  const det = dx1 * dy2 - dx2 * dy1;
  const g = (sx * dy2 - dx2 * sy) / det;
  const h = (dx1 * sy - sx * dy1) / det;
  return [x1 - x0 + g * x1, x3 - x0 + h * x3, x0, y1 - y0 + g * y1, y3 - y0 + h * y3, y0, g, h, 1];
}

export function project(map: readonly number[], u: number, v: number): [x: number, y: number] {
  const w = map[6]! * u + map[7]! * v + map[8]!;
  return [(map[0]! * u + map[1]! * v + map[2]!) / w, (map[3]! * u + map[4]! * v + map[5]!) / w];
}

/** How wide a page is when a stretch on its picture is known, mm. Places are shares of the picture. */
export function pageWidthMm(corners: Corners, from: Corner, to: Corner, aspect: number, knownMm: number): number {
  const map = projection(corners);
  const [u, v] = unproject(map, ...from);
  const [p, q] = unproject(map, ...to);
  return knownMm / Math.hypot(p - u, (q - v) * aspect);
}

/** How high the page between four corners is for its width. */
export function pageAspect(corners: Corners, width: number, height: number): number {
  const side = (i: number, j: number): number =>
    Math.hypot((corners[i]![0] - corners[j]![0]) * width, (corners[i]![1] - corners[j]![1]) * height);
  return (side(0, 3) + side(1, 2)) / (side(0, 1) + side(3, 2));
}

/** The inverse of {@link project}, by the adjugate of its map. */
function unproject([a, b, c, d, e, f, g, h, i]: readonly number[], x: number, y: number): [u: number, v: number] {
  const w = (d! * h! - e! * g!) * x + (b! * g! - a! * h!) * y + (a! * e! - b! * d!);
  return [
    ((e! * i! - f! * h!) * x + (c! * h! - b! * i!) * y + (b! * f! - c! * e!)) / w,
    ((f! * g! - d! * i!) * x + (a! * i! - c! * g!) * y + (c! * d! - a! * f!)) / w,
  ];
}

/** The page between four corners as if seen from straight above; its sides are as long as those in the picture, on the mean. */
export function squaredUp(raster: Raster, corners: Corners): Raster {
  const { width, height, rgba } = raster;
  const side = (i: number, j: number): number =>
    Math.hypot((corners[i]![0] - corners[j]![0]) * width, (corners[i]![1] - corners[j]![1]) * height);
  const w = Math.max(1, Math.round((side(0, 1) + side(3, 2)) / 2));
  const h = Math.max(1, Math.round((side(0, 3) + side(1, 2)) / 2));
  const map = projection(corners);
  const out = new Uint8ClampedArray(w * h * 4);
  for (let y = 0; y < h; y++) {
    for (let x = 0; x < w; x++) {
      const [u, v] = project(map, (x + 0.5) / w, (y + 0.5) / h);
      sample(rgba, width, height, u * width - 0.5, v * height - 0.5, out, (y * w + x) * 4);
    }
  }
  return { width: w, height: h, rgba: out };
}

/** The mean of the four pixels about a place, by how near they are. */
function sample(
  rgba: Uint8ClampedArray,
  width: number,
  height: number,
  x: number,
  y: number,
  out: Uint8ClampedArray,
  at: number,
): void {
  const [cx, cy] = [Math.min(width - 1, Math.max(0, x)), Math.min(height - 1, Math.max(0, y))];
  const [left, top] = [Math.floor(cx), Math.floor(cy)];
  const [right, bottom] = [Math.min(width - 1, left + 1), Math.min(height - 1, top + 1)];
  const [fx, fy] = [cx - left, cy - top];
  for (let k = 0; k < 4; k++) {
    const a = rgba[(top * width + left) * 4 + k]! * (1 - fx) + rgba[(top * width + right) * 4 + k]! * fx;
    const b = rgba[(bottom * width + left) * 4 + k]! * (1 - fx) + rgba[(bottom * width + right) * 4 + k]! * fx;
    out[at + k] = a * (1 - fy) + b * fy;
  }
}
