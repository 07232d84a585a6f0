import { placesOf } from './points.ts';
import polylabel from 'polylabel';
import type { Circle } from './smallestCircle.ts';
import { ringArea, type Region } from './shapes.ts';

/** How near the answer is to the widest place, as a share of the region's size. */
const PRECISION = 0.01;

/**
 * The largest circle that fits into a region: its centre is the widest place.
 * A region of several separate outlines gives the widest of them. Null for an empty region.
 */
export function inscribedCircle(region: Region): Circle | null {
  let best: Circle | null = null;
  for (const polygon of polygonsOf(region)) {
    const outline = polygon[0]!;
    const size = Math.sqrt(Math.abs(ringArea(outline)));
    const rings = polygon.map(pairs);
    const centre = polylabel(rings, size * PRECISION) as unknown as number[] & { distance: number };
    if (!best || centre.distance > best.r) best = { x: centre[0]!, y: centre[1]!, r: centre.distance };
  }
  return best;
}

/** A region as polygons, each an outline followed by its holes. */
function polygonsOf(region: Region): Region[] {
  const turn = Math.sign(region.reduce((sum, ring) => sum + ringArea(ring), 0)) || 1;
  const outlines = region.filter((ring) => ringArea(ring) * turn > 0);
  const holes = region.filter((ring) => ringArea(ring) * turn <= 0);
  return outlines.map((outline) => [outline, ...holes]);
}

function pairs(ring: Float64Array): number[][] {
  return Array.from(placesOf(ring), ([x, y]) => [x, y]);
}
