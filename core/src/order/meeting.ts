import { edgesOf, type PlacedShape, type ShapePair } from '../drawing/index.ts';
import {
  boxesMeet,
  distanceToLines,
  isInside,
  narrowestGap,
  type Polyline,
  placesOf,
  segmentsOf,
} from '../geometry/index.ts';
import { stage, type Memory } from '../measure/index.ts';

/** Shapes further apart than this have nothing to do with each other, mm. */
export const FARTHEST_MEETING_MM = 2;

export const GAP_BETWEEN = stage<ShapePair>()('gap between', ['a', 'b'], findGap);

/** How far two shapes lie apart, mm: 0 where one lies on the other, Infinity beyond {@link FARTHEST_MEETING_MM}. */
export function gapBetween(a: PlacedShape, b: PlacedShape, memory: Memory): number {
  return memory.made(GAP_BETWEEN, [a.partId, b.partId], { a, b });
}

function findGap({ a, b }: ShapePair): number {
  if (!a.box || !b.box || !boxesMeet(a.box, b.box, FARTHEST_MEETING_MM)) return Infinity;
  if (liesOn(a, b) || liesOn(b, a)) return 0;
  const [edgesA, edgesB] = [edgesOf(a.shape), edgesOf(b.shape)];
  const edges = narrowestGap(edgesA, edgesB, FARTHEST_MEETING_MM)?.mm ?? Infinity;
  return Math.min(edges, gapOfSpots(a.shape.spots, edgesB, b.shape.spots), gapOfSpots(b.shape.spots, edgesA, []));
}

/** Whether a place of one shape lies in the area of the other. */
function liesOn({ shape }: PlacedShape, { shape: { region } }: PlacedShape): boolean {
  if (region.length === 0) return false;
  const [first] = [shape.region[0], shape.lines[0]?.points, shape.spots].filter(
    (points) => points && points.length > 0,
  );
  return first !== undefined && isInside(region, first[0]!, first[1]!);
}

function gapOfSpots(spots: ArrayLike<number>, edges: readonly Polyline[], others: ArrayLike<number>): number {
  let least = Infinity;
  for (const [x, y] of placesOf(spots)) {
    least = Math.min(least, distanceToLines(edges, x, y));
    for (const [px, py] of placesOf(others)) least = Math.min(least, Math.hypot(px - x, py - y));
  }
  return least > FARTHEST_MEETING_MM ? Infinity : least;
}

/** A line is looked at in steps of this, mm. */
const LOOK_MM = 0.5;

/** The share of a line that runs along the outline of an area, no further off than `nearMm`, 0–1. */
export function boundsShare(line: PlacedShape, area: PlacedShape, nearMm: number, memory: Memory): number {
  return memory.made(BOUNDS_SHARE, [line.partId, area.partId], { line, area, nearMm });
}

interface LineByArea {
  readonly line: PlacedShape;
  readonly area: PlacedShape;
  readonly nearMm: number;
}

export const BOUNDS_SHARE = stage<LineByArea>()('share along an outline', ['line', 'area', 'nearMm'], shareAlong);

function shareAlong({ line, area, nearMm }: LineByArea): number {
  const outline = edgesOf(area.shape);
  let [along, all] = [0, 0];
  for (const { points } of line.shape.lines) {
    for (const [[x, y], [toX, toY]] of segmentsOf({ points, closed: false })) {
      const [ex, ey] = [toX - x, toY - y];
      const length = Math.hypot(ex, ey);
      const looks = Math.max(1, Math.ceil(length / LOOK_MM));
      for (let k = 0; k < looks; k++) {
        const t = (k + 0.5) / looks;
        if (distanceToLines(outline, x + ex * t, y + ey * t) <= nearMm) along += length / looks;
      }
      all += length;
    }
  }
  return all > 0 ? along / all : 0;
}
