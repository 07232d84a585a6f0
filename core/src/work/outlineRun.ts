import { onDrawing, type PlacedShape } from '../drawing/index.ts';
import {
  distanceToOutline,
  mapPoints,
  nearestOnRing,
  offset,
  ringArea,
  ringStretch,
  simplifyRegion,
  withoutStretches,
  WOBBLE_MM,
  type Polyline,
  type Region,
  type Ring,
  placeAt,
  placesOf,
} from '../geometry/index.ts';
import type { Pass } from '../piece/index.ts';

/** A region whose outline runs so far within that of another; outside it where it is less than nought. */
export function setIn(region: Region, mm: number): Region {
  return mm === 0 ? region : offset(simplifyRegion(region, WOBBLE_MM), -mm);
}

/** The outlines of a region: round it, and round its holes, so that it lies to the left. There stands what has a side. */
export function outlinesOfRegion(region: Region): Polyline[] {
  return region.map((ring) => ({ points: roundTheOtherWay(ring), closed: true }));
}

/** A ring from the same point, the other way round. */
export function roundTheOtherWay(ring: Ring): Ring {
  const turned = new Float64Array(ring.length);
  for (let i = 0; i < ring.length; i += 2) {
    const from = (ring.length - i) % ring.length;
    turned[i] = ring[from]!;
    turned[i + 1] = ring[from + 1]!;
  }
  return turned;
}

/** What an outline layer is worked along: all outlines of its area, or where it is given two points the stretch from the first to the second. */
export function outlineRun({ shape, whole, toCloth }: PlacedShape, { insetMm, points }: Pass): Polyline[] {
  const seen = outlinesOfRegion(setIn(shape.region, insetMm));
  const lines = whole ? ownStretches(seen, setIn(whole.shape.region, insetMm)) : seen;
  if (points.length < 2) return lines;
  const [x0, y0, x1, y1] = mapPoints(toCloth, Float64Array.from(points.slice(0, 2).flat()));
  const from = [x0!, y0!] as const;
  const [nearest] = lines
    .map((line) => ({ line, mm: nearestOnRing(line.points, from).mm }))
    .sort((a, b) => a.mm - b.mm);
  return nearest ? [{ points: ringStretch(nearest.line.points, from, [x1!, y1!]), closed: false }] : [];
}

/** Off its own outline by more than this, the edge of what is seen of an area is that of something upon it, mm; and looked at for stretches of this. */
const OFF_MM = 0.15;
const STRETCH_MM = 1;

/** An area’s own outline, as far as it is seen: not round what lies upon it, nor along that. */
function ownStretches(seen: readonly Polyline[], whole: Region): Polyline[] {
  const own = seen.flatMap((line) =>
    withoutStretches(line, (x, y) => distanceToOutline(whole, x, y) > OFF_MM, STRETCH_MM),
  );
  return own.length > 0 ? own : [...seen];
}

/** From where to where an outline goes on the side of an area that lies in the light, or away from it: light falls from the upper left. */
export function outlineSide({ shape, toCloth }: PlacedShape, side: 'lit' | 'shaded'): Pass['points'] | null {
  const outer = shape.region.reduce<Ring | null>(
    (best, ring) => (best && Math.abs(ringArea(best)) >= Math.abs(ringArea(ring)) ? best : ring),
    null,
  );
  if (!outer) return null;
  const ring = roundTheOtherWay(outer);
  let [right, left] = [placeAt(ring, 0), placeAt(ring, 0)];
  for (const place of placesOf(ring)) {
    if (place[0] - place[1] > right[0] - right[1]) right = place;
    if (place[0] - place[1] < left[0] - left[1]) left = place;
  }
  // y runs down: what is away from the light lies where x and y are large.
  const depth = (points: Float64Array): number => points.reduce((sum, value) => sum + value, 0) / points.length;
  const isShaded = depth(ringStretch(ring, right, left)) > depth(ringStretch(ring, left, right));
  const ends = isShaded === (side === 'shaded') ? [right, left] : [left, right];
  return ends.map((place) => onDrawing(toCloth, ...place));
}
