import { wayRound } from './alongPolyline.ts';
import { distanceToLines } from './outline.ts';
import { segmentsOf } from './points.ts';
import type { Polyline } from './shapes.ts';

/** A line beside a line is looked for at places so close, as a share of how far it lies from it, and no closer than this, mm. */
const STEP_SHARE = 0.25;
const LEAST_STEP_MM = 0.1;
/** What comes nearer than this share of the distance is left out: inside a bend that is tighter than the distance. */
const NEAREST = 0.985;

/**
 * A line all along another, as far from it everywhere.
 * @param mm how far to the left of it as one walks along it (y points down); a negative distance lies to its right
 * @returns the line; it is shorter inside a bend, and without a point where nothing lies so far from it
 */
export function parallelLine({ points, closed }: Polyline, mm: number): Polyline {
  if (mm === 0) return { points, closed };
  const stepMm = Math.max(LEAST_STEP_MM, STEP_SHARE * Math.abs(mm));
  const way = { points: closed ? wayRound(points) : points, closed: false };
  const kept: number[] = [];
  for (const [[ax, ay], [bx, by]] of segmentsOf(way)) {
    const [dx, dy] = [bx - ax, by - ay];
    const length = Math.hypot(dx, dy);
    if (length === 0) continue;
    const count = Math.ceil(length / stepMm);
    for (let i = 0; i <= count; i++) {
      const [x, y] = [ax + (i / count) * dx + (dy / length) * mm, ay + (i / count) * dy - (dx / length) * mm];
      // Inside a corner the next edge begins behind where the last one ended.
      const isAhead = kept.length === 0 || (x - kept.at(-2)!) * dx + (y - kept.at(-1)!) * dy > 0;
      if (isAhead && distanceToLines([way], x, y) >= NEAREST * Math.abs(mm)) kept.push(x, y);
    }
  }
  return { points: Float64Array.from(kept), closed: closed && kept.length > 4 };
}
