import type { Polyline, Region } from './shapes.ts';

/** The distance from a point to the nearest edge of a region, mm. */
export function distanceToOutline(region: Region, x: number, y: number): number {
  return distanceBeyond(region, x, y, -1);
}

/**
 * The distance from a point to the nearest edge of a region, mm, or any distance up to `enough` where that is what it comes to: whoever only
 * wants more than that need not have every edge walked.
 */
export function distanceBeyond(region: Region, x: number, y: number, enough: number): number {
  const limit = enough > 0 ? enough * enough : -1;
  let least = Infinity;
  for (const ring of region) {
    const count = ring.length;
    if (count === 0) continue;
    let ax = ring[count - 2]!;
    let ay = ring[count - 1]!;
    for (let i = 0; i < count; i += 2) {
      const bx = ring[i]!;
      const by = ring[i + 1]!;
      const ex = bx - ax;
      const ey = by - ay;
      const length2 = ex * ex + ey * ey;
      let t = length2 > 0 ? ((x - ax) * ex + (y - ay) * ey) / length2 : 0;
      if (t < 0) t = 0;
      else if (t > 1) t = 1;
      const dx = x - ax - t * ex;
      const dy = y - ay - t * ey;
      const apart = dx * dx + dy * dy;
      if (apart < least) {
        least = apart;
        if (least <= limit) return Math.sqrt(least);
      }
      ax = bx;
      ay = by;
    }
  }
  return Math.sqrt(least);
}

/** How far one can go from a point in a direction (a unit vector) before the outline is met, mm; 0 where it never is. */
export function reachInside(region: Region, x: number, y: number, dx: number, dy: number): number {
  let nearest = Infinity;
  for (const ring of region) {
    const count = ring.length;
    if (count === 0) continue;
    let ax = ring[count - 2]! - x;
    let ay = ring[count - 1]! - y;
    // On which side of the way each corner lies: only edges from one side to the other are met.
    let aSide = dx * ay - dy * ax;
    for (let i = 0; i < count; i += 2) {
      const bx = ring[i]! - x;
      const by = ring[i + 1]! - y;
      const bSide = dx * by - dy * bx;
      if (aSide <= 0 !== bSide <= 0 || bSide === 0) {
        const share = aSide / (aSide - bSide);
        const along = (ax + share * (bx - ax)) * dx + (ay + share * (by - ay)) * dy;
        if (along > 1e-9 && along < nearest) nearest = along;
      }
      ax = bx;
      ay = by;
      aSide = bSide;
    }
  }
  return Number.isFinite(nearest) ? nearest : 0;
}

/** The distance from a point to the nearest of some lines, mm; Infinity where there are none. */
export function distanceToLines(lines: readonly Polyline[], x: number, y: number): number {
  let least = Infinity;
  for (const { points, closed } of lines) {
    const last = closed ? points.length : points.length - 2;
    for (let i = 0; i < last; i += 2) {
      const j = (i + 2) % points.length;
      const [ax, ay] = [points[i]!, points[i + 1]!];
      const [ex, ey] = [points[j]! - ax, points[j + 1]! - ay];
      const length2 = ex * ex + ey * ey;
      const t = length2 > 0 ? Math.min(1, Math.max(0, ((x - ax) * ex + (y - ay) * ey) / length2)) : 0;
      least = Math.min(least, (x - ax - t * ex) ** 2 + (y - ay - t * ey) ** 2);
    }
  }
  return Math.sqrt(least);
}
