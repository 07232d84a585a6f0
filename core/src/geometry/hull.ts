import { convexHull } from './smallestCircle.ts';
import { ringArea, type Region } from './shapes.ts';

/** The share of its convex hull that a region's largest outline fills, its holes counted in: 1 where the outline has no bays. */
export function fullnessOf(region: Region): number {
  if (region.length === 0) return 0;
  const outline = region.reduce((a, b) => (Math.abs(ringArea(b)) > Math.abs(ringArea(a)) ? b : a));
  const hull = Float64Array.from(convexHull([outline]).flatMap(({ x, y }) => [x, y]));
  return Math.abs(ringArea(outline)) / Math.abs(ringArea(hull));
}
