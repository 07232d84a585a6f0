import svgpath from 'svgpath';
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
  const path = svgpath(data);
  const fault = (path as unknown as { err: string }).err;
  if (fault) throw new Error(fault);
  const runs: FlatRun[] = [];
  let points: number[] = [];
  const finish = (closed: boolean): void => {
    if (points.length > 2 || closed) runs.push(finishRun(points, closed));
    points = [];
  };
  path.abs().unshort().unarc();
  let [startX, startY] = [0, 0];
  path.iterate((segment, _index, x, y) => {
    const [command, ...args] = segment as unknown as [string, ...number[]];
    if (command === 'M') {
      finish(false);
      [startX, startY] = [args[0]!, args[1]!];
      points = [startX, startY];
      return;
    }
    if (command === 'Z') {
      if (points.length > 0) finish(true);
      return;
    }
    if (points.length === 0) points = [x, y];
    if (command === 'L') points.push(args[0]!, args[1]!);
    else if (command === 'H') points.push(args[0]!, y);
    else if (command === 'V') points.push(x, args[0]!);
    else if (command === 'C') pushCubic(points, x, y, args, tolerance);
    else if (command === 'Q') pushCubic(points, x, y, quadraticAsCubic(x, y, args), tolerance);
  });
  finish(false);
  return runs;
}

function finishRun(points: number[], closed: boolean): FlatRun {
  const kept: number[] = [points[0]!, points[1]!];
  for (let i = 2; i < points.length; i += 2) {
    if (!coincide(points, i, kept, kept.length - 2)) kept.push(points[i]!, points[i + 1]!);
  }
  const meetsStart = kept.length > 4 && coincide(kept, kept.length - 2, kept, 0);
  if (meetsStart) kept.length -= 2;
  return {
    points: Float64Array.from(kept),
    closed: (closed || meetsStart) && kept.length > 4,
    isDot: kept.length === 2,
  };
}

function coincide(a: readonly number[], i: number, b: readonly number[], j: number): boolean {
  return Math.abs(a[i]! - b[j]!) < SAME_POINT && Math.abs(a[i + 1]! - b[j + 1]!) < SAME_POINT;
}

function quadraticAsCubic(x: number, y: number, [cx, cy, ex, ey]: number[]): number[] {
  const third = (from: number, to: number): number => from + (2 / 3) * (to - from);
  return [third(x, cx!), third(y, cy!), third(ex!, cx!), third(ey!, cy!), ex!, ey!];
}

/**
 * Divides a cubic evenly in its parameter. The number of pieces bounds the distance between chord and curve by the
 * second difference of the control points (Wang's formula; Goldman, Pyramid Algorithms, 2003).
 */
function pushCubic(out: number[], x0: number, y0: number, args: number[], tolerance: number): void {
  const [x1, y1, x2, y2, x3, y3] = args as [number, number, number, number, number, number];
  const bend = Math.max(Math.hypot(x0 - 2 * x1 + x2, y0 - 2 * y1 + y2), Math.hypot(x1 - 2 * x2 + x3, y1 - 2 * y2 + y3));
  const wanted = Math.ceil(Math.sqrt((6 / 8) * (bend / tolerance)));
  const isStraight = bend < tolerance / 100;
  const pieces = isStraight ? 1 : Math.min(MAX_PIECES, Math.max(MIN_PIECES, wanted));
  for (let i = 1; i <= pieces; i++) {
    const t = i / pieces;
    const s = 1 - t;
    const [b0, b1, b2, b3] = [s * s * s, 3 * s * s * t, 3 * s * t * t, t * t * t];
    out.push(b0 * x0 + b1 * x1 + b2 * x2 + b3 * x3, b0 * y0 + b1 * y1 + b2 * y2 + b3 * y3);
  }
}
