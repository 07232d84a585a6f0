import { placeAt } from './points.ts';
import { unite } from './clip.ts';
import type { Polyline, Region, Ring } from './shapes.ts';

/** Wobble of an outline below this is not worth a stitch of its own, mm. */
export const WOBBLE_MM = 0.03;

/** Leaves out corners nearer than a tolerance to the line without them (Ramer 1972, Douglas and Peucker 1973). */
export function simplifyRing(ring: Ring, toleranceMm: number): Ring {
  const count = ring.length / 2;
  if (count <= 4) return ring;
  const far = farthestFromStart(ring);
  return kept(ring, [0, far, count], toleranceMm, 6) ?? ring;
}

/** The same for a line, whose ends stay where they are. */
export function simplifyLine(line: Polyline, toleranceMm: number): Polyline {
  if (line.closed) return { points: simplifyRing(line.points, toleranceMm), closed: true };
  const count = line.points.length / 2;
  if (count <= 2) return line;
  return { points: kept(line.points, [0, count - 1], toleranceMm, 4) ?? line.points, closed: false };
}

/** The corners to keep between some that stay; null where fewer would be left than wanted. The place after the last is the first. */
function kept(points: Ring, stay: readonly number[], toleranceMm: number, least: number): Ring | null {
  const count = points.length / 2;
  const keep = new Uint8Array(count + 1);
  for (const i of stay) keep[i] = 1;
  const stack = stay.slice(1).map((to, i): [number, number] => [stay[i]!, to]);
  for (let range = stack.pop(); range; range = stack.pop()) {
    const [from, to] = range;
    const [worst, distance] = farthestFromChord(points, from, to);
    if (distance <= toleranceMm) continue;
    keep[worst] = 1;
    stack.push([from, worst], [worst, to]);
  }
  const out: number[] = [];
  for (let i = 0; i < count; i++) if (keep[i]) out.push(...placeAt(points, i));
  return out.length >= least ? Float64Array.from(out) : null;
}

/** Rings of more corners than this are thinned first: no hand follows them. */
const MOST_CORNERS = 3000;
/** Corners that lie within this many tolerances of each other are taken as one. */
const CLUSTER = 6;

export function simplifyRegion(region: Region, toleranceMm: number): Region {
  const isDense = region.some((ring) => ring.length / 2 > MOST_CORNERS);
  const rings = isDense
    ? unite(
        region.map((ring) => thinned(ring, CLUSTER * toleranceMm)),
        'evenodd',
      )
    : region;
  return rings.map((ring) => simplifyRing(ring, toleranceMm));
}

/** Runs of corners that stay within a small square become the mean of them. */
function thinned(ring: Ring, sizeMm: number): Ring {
  const out: number[] = [];
  for (let i = 0; i < ring.length;) {
    let [minX, minY, maxX, maxY] = [ring[i]!, ring[i + 1]!, ring[i]!, ring[i + 1]!];
    let [sumX, sumY, count] = [0, 0, 0];
    for (; i < ring.length; i += 2) {
      [minX, maxX] = [Math.min(minX, ring[i]!), Math.max(maxX, ring[i]!)];
      [minY, maxY] = [Math.min(minY, ring[i + 1]!), Math.max(maxY, ring[i + 1]!)];
      if (maxX - minX > sizeMm || maxY - minY > sizeMm) break;
      [sumX, sumY, count] = [sumX + ring[i]!, sumY + ring[i + 1]!, count + 1];
    }
    out.push(sumX / count, sumY / count);
  }
  return out.length >= 6 ? Float64Array.from(out) : ring;
}

function farthestFromStart(ring: Ring): number {
  let [best, far] = [1, -1];
  for (let i = 1; i < ring.length / 2; i++) {
    const distance = Math.hypot(ring[2 * i]! - ring[0]!, ring[2 * i + 1]! - ring[1]!);
    if (distance > far) [best, far] = [i, distance];
  }
  return best;
}

function farthestFromChord(ring: Ring, from: number, to: number): [index: number, distance: number] {
  const end = 2 * (to % (ring.length / 2));
  const [ax, ay] = placeAt(ring, from);
  const [dx, dy] = [ring[end]! - ax, ring[end + 1]! - ay];
  const length2 = dx * dx + dy * dy;
  let [worst, distance] = [from, -1];
  for (let i = from + 1; i < to; i++) {
    const [px, py] = [ring[2 * i]! - ax, ring[2 * i + 1]! - ay];
    const t = length2 > 0 ? Math.min(1, Math.max(0, (px * dx + py * dy) / length2)) : 0;
    const d = Math.hypot(px - t * dx, py - t * dy);
    if (d > distance) [worst, distance] = [i, d];
  }
  return [worst, distance];
}
