import { Delaunay } from 'd3-delaunay';
import { placeAt } from './points.ts';
import { ringArea, type Region } from './shapes.ts';

/** The share that a region's largest outline, its holes filled, takes of the least outline without bays that holds it: 1 where it has none itself. */
export function fullnessOf(region: Region): number {
  if (region.length === 0) return 0;
  const outline = region.reduce((a, b) => (Math.abs(ringArea(b)) > Math.abs(ringArea(a)) ? b : a));
  // The triangulation rewrites its points when they lie in a row: it gets its own.
  const hull = [...new Delaunay(outline.slice()).hull].flatMap((i) => [...placeAt(outline, i)]);
  return Math.abs(ringArea(outline)) / Math.abs(ringArea(Float64Array.from(hull)));
}
