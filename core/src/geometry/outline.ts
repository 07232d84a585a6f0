import type { Region } from './shapes.ts';

/** The distance from a point to the nearest edge of a region, mm. */
export function distanceToOutline(region: Region, x: number, y: number): number {
  let least = Infinity;
  for (const ring of region) {
    for (let i = 0; i < ring.length; i += 2) {
      const j = (i + 2) % ring.length;
      const [ax, ay, ex, ey] = [ring[i]!, ring[i + 1]!, ring[j]! - ring[i]!, ring[j + 1]! - ring[i + 1]!];
      const length2 = ex * ex + ey * ey;
      const t = length2 > 0 ? Math.min(1, Math.max(0, ((x - ax) * ex + (y - ay) * ey) / length2)) : 0;
      least = Math.min(least, (x - ax - t * ex) ** 2 + (y - ay - t * ey) ** 2);
    }
  }
  return Math.sqrt(least);
}

/** How far one can go from a point in a direction (a unit vector) before the outline is met, mm; 0 where it never is. */
export function reachInside(region: Region, x: number, y: number, dx: number, dy: number): number {
  let nearest = Infinity;
  for (const ring of region) {
    for (let i = 0; i < ring.length; i += 2) {
      const j = (i + 2) % ring.length;
      const [ax, ay, ex, ey] = [ring[i]! - x, ring[i + 1]! - y, ring[j]! - ring[i]!, ring[j + 1]! - ring[i + 1]!];
      const cross = dx * ey - dy * ex;
      if (Math.abs(cross) < 1e-12) continue;
      const along = (ax * ey - ay * ex) / cross;
      const share = (ax * dy - ay * dx) / cross;
      if (along > 1e-9 && share >= 0 && share <= 1 && along < nearest) nearest = along;
    }
  }
  return Number.isFinite(nearest) ? nearest : 0;
}
