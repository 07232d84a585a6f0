import { placesOf } from './points.ts';
import { packEnclose } from 'd3-hierarchy';
import type { Point } from './shapes.ts';

export interface Circle extends Point {
  readonly r: number;
}

/**
 * The smallest circle around all points of flat coordinate arrays (mm), or null where there is no point.
 * Only the corners of the convex hull can touch it, so only they are handed to the circle packer
 * (Matoušek, Sharir and Welzl 1996).
 */
export function smallestCircle(arrays: Iterable<Float64Array>): Circle | null {
  const hull = convexHull(arrays);
  if (hull.length === 0) return null;
  // The packer reckons within a billionth of one: it is given a design of about that size, about its own middle.
  const [xs, ys] = [hull.map(({ x }) => x), hull.map(({ y }) => y)];
  const [x, y] = [middle(xs), middle(ys)];
  const reach = Math.max(1, ...hull.map((p) => Math.hypot(p.x - x, p.y - y)));
  const unit = reach > FAR_MM ? reach : 1;
  const [dx, dy] = unit === 1 ? [0, 0] : [x, y];
  const circle = packed(hull.map((p) => ({ x: (p.x - dx) / unit, y: (p.y - dy) / unit, r: 0 })));
  return circle ? { x: circle.x * unit + dx, y: circle.y * unit + dy, r: circle.r * unit } : { x, y, r: reach };
}

/** Points that lie further out than this are reckoned with in a larger unit, mm. */
const FAR_MM = 1000;

function middle(values: readonly number[]): number {
  return (Math.min(...values) + Math.max(...values)) / 2;
}

/** The packer gives up on some points that are all but on one line; then a circle that is not the smallest has to do. */
function packed(points: { x: number; y: number; r: number }[]): Circle | null {
  try {
    return packEnclose(points);
  } catch {
    return null;
  }
}

/** The corners of the convex hull, by Andrew's monotone chain (1979), without points on its sides. */
export function convexHull(arrays: Iterable<Float64Array>): Point[] {
  const points = outerPoints([...arrays]);
  points.sort((a, b) => a.x - b.x || a.y - b.y);
  const distinct = points.filter((p, i) => i === 0 || p.x !== points[i - 1]!.x || p.y !== points[i - 1]!.y);
  if (distinct.length < 3) return distinct;
  return [...halfHull(distinct), ...halfHull(distinct.reverse())];
}

/** Fewer points than this are not worth looking through twice. */
const WORTH_FILTERING = 64;

/** The points but for those that lie well inside the four outermost ones (Akl and Toussaint 1978). */
function outerPoints(arrays: readonly Float64Array[]): Point[] {
  const count = arrays.reduce((sum, array) => sum + array.length / 2, 0);
  const isInside = count > WORTH_FILTERING ? insideOfExtremes(arrays) : (): boolean => false;
  const points: Point[] = [];
  for (const array of arrays) {
    for (const [px, py] of placesOf(array)) {
      if (!isInside(px, py)) points.push({ x: px, y: py });
    }
  }
  return points;
}

/** Tells whether a place lies strictly inside the quadrangle of the points that are outermost along x + y and x - y. */
export function insideOfExtremes(arrays: readonly Float64Array[]): (x: number, y: number) => boolean {
  // The outermost along x + y, y - x, and against them: round in order.
  const corners: Point[] = [0, 1, 2, 3].map(() => ({ x: 0, y: 0 }));
  let [sumMost, sumLeast, slantMost, slantLeast] = [-Infinity, Infinity, -Infinity, Infinity];
  for (const array of arrays) {
    for (const [x, y] of placesOf(array)) {
      const sum = x + y;
      const slant = y - x;
      if (sum > sumMost) [sumMost, corners[0]] = [sum, { x, y }];
      if (slant > slantMost) [slantMost, corners[1]] = [slant, { x, y }];
      if (sum < sumLeast) [sumLeast, corners[2]] = [sum, { x, y }];
      if (slant < slantLeast) [slantLeast, corners[3]] = [slant, { x, y }];
    }
  }
  const [a, b, c, d] = corners as [Point, Point, Point, Point];
  return (x, y) => isLeft(a, b, x, y) && isLeft(b, c, x, y) && isLeft(c, d, x, y) && isLeft(d, a, x, y);
}

function isLeft(a: Point, b: Point, x: number, y: number): boolean {
  return (b.x - a.x) * (y - a.y) - (b.y - a.y) * (x - a.x) > 0;
}

function halfHull(sorted: readonly Point[]): Point[] {
  const chain: Point[] = [];
  for (const p of sorted) {
    while (chain.length >= 2 && turn(chain.at(-2)!, chain.at(-1)!, p) <= 0) chain.pop();
    chain.push(p);
  }
  chain.pop();
  return chain;
}

function turn(a: Point, b: Point, c: Point): number {
  return (b.x - a.x) * (c.y - a.y) - (b.y - a.y) * (c.x - a.x);
}
