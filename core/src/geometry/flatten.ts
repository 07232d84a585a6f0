import { ARGUMENTS, Op, readPath } from './pathOps.ts';
import type { Polyline } from './shapes.ts';

/** A curve is divided at least this often, so that small rounds stay round. */
const MIN_PIECES = 8;
const MAX_PIECES = 200;
/** Nearer than this, two points are one that was rounded. */
const SAME_POINT = 1e-7;

/** One run of a path: its corners, whether it was closed, and whether anything but its start was drawn. */
export interface FlatRun extends Polyline {
  readonly isDot: boolean;
}

/**
 * Path data as polylines that stay within a tolerance of its curves.
 * @param data path data of any commands, in millimetres or any other unit
 * @param tolerance the greatest distance between curve and chord, in the same unit
 * @throws Error where the text is not path data
 */
export function flattenPath(data: string, tolerance: number): FlatRun[] {
  const path = readPath(data);
  const runs: FlatRun[] = [];
  let points: number[] = [];
  let [startX, startY, x, y] = [0, 0, 0, 0];
  for (let i = 0; i < path.length; i += 1 + ARGUMENTS[path[i]!]!) {
    const op = path[i] as (typeof Op)[keyof typeof Op];
    if (op === Op.close) {
      if (points.length > 0) runs.push(finishRun(points, true));
      points = [];
      x = startX;
      y = startY;
      continue;
    }
    if (op === Op.move) {
      if (points.length > 2) runs.push(finishRun(points, false));
      startX = path[i + 1]!;
      startY = path[i + 2]!;
      points = [startX, startY];
    } else {
      if (points.length === 0) points = [x, y];
      if (op === Op.line) points.push(path[i + 1]!, path[i + 2]!);
      else pushCubic(points, x, y, path, i + 1, tolerance);
    }
    x = path[i + ARGUMENTS[op] - 1]!;
    y = path[i + ARGUMENTS[op]]!;
  }
  if (points.length > 2) runs.push(finishRun(points, false));
  return runs;
}

/** Leaves out points that stand twice; the array is its own and may be shortened. */
function finishRun(points: number[], closed: boolean): FlatRun {
  let count = 2;
  for (let i = 2; i < points.length; i += 2) {
    if (coincide(points, i, points, count - 2)) continue;
    points[count] = points[i]!;
    points[count + 1] = points[i + 1]!;
    count += 2;
  }
  const meetsStart = count > 4 && coincide(points, count - 2, points, 0);
  if (meetsStart) count -= 2;
  points.length = count;
  return { points: Float64Array.from(points), closed: (closed || meetsStart) && count > 4, isDot: count === 2 };
}

function coincide(a: readonly number[], i: number, b: readonly number[], j: number): boolean {
  return Math.abs(a[i]! - b[j]!) < SAME_POINT && Math.abs(a[i + 1]! - b[j + 1]!) < SAME_POINT;
}

/**
 * Divides a cubic evenly in its parameter. The number of pieces bounds the distance between chord and curve by the
 * second difference of the control points (Wang's formula; Goldman, Pyramid Algorithms, 2003).
 */
function pushCubic(out: number[], x0: number, y0: number, path: Float64Array, at: number, tolerance: number): void {
  const x1 = path[at]!;
  const y1 = path[at + 1]!;
  const x2 = path[at + 2]!;
  const y2 = path[at + 3]!;
  const x3 = path[at + 4]!;
  const y3 = path[at + 5]!;
  const bend = Math.max(Math.hypot(x0 - 2 * x1 + x2, y0 - 2 * y1 + y2), Math.hypot(x1 - 2 * x2 + x3, y1 - 2 * y2 + y3));
  const wanted = Math.ceil(Math.sqrt((6 / 8) * (bend / tolerance)));
  const isStraight = bend < tolerance / 100;
  const pieces = isStraight ? 1 : Math.min(MAX_PIECES, Math.max(MIN_PIECES, wanted));
  for (let i = 1; i <= pieces; i++) {
    const t = i / pieces;
    const s = 1 - t;
    const b0 = s * s * s;
    const b1 = 3 * s * s * t;
    const b2 = 3 * s * t * t;
    const b3 = t * t * t;
    out.push(b0 * x0 + b1 * x1 + b2 * x2 + b3 * x3, b0 * y0 + b1 * y1 + b2 * y2 + b3 * y3);
  }
}
