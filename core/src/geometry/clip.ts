import {
  Clipper,
  Clipper64,
  ClipType,
  EndType,
  FillRule,
  JoinType,
  type Path64,
  type Paths64,
  type Point64,
} from 'clipper2-ts';
import type { Polyline, Region, Ring } from './shapes.ts';

/** The library counts in whole numbers: one is a thousandth of a millimetre. */
const PER_MM = 1000;
const ARC_TOLERANCE_MM = 0.01;
/** What is thinner or smaller than this after cutting is rounding, not a shape. */
const MIN_RING_AREA_MM2 = 1e-4;

export type FillRuleName = 'nonzero' | 'evenodd';

function toPath(points: Float64Array): Path64 {
  const path: Path64 = [];
  for (let i = 0; i < points.length; i += 2) {
    path.push({ x: Math.round(points[i]! * PER_MM), y: Math.round(points[i + 1]! * PER_MM) });
  }
  return path;
}

function fromPath(path: Path64): Float64Array {
  const points = new Float64Array(path.length * 2);
  path.forEach(({ x, y }, i) => {
    points[2 * i] = x / PER_MM;
    points[2 * i + 1] = y / PER_MM;
  });
  return points;
}

/** Rings as the library takes them; what is all but a line is left out, as the library may never end on it. */
function toPaths(region: Region): Paths64 {
  return region.map(toRing).filter((ring) => ring.length >= 3 && !isFlat(ring));
}

/**
 * A ring without places that add nothing: those that come twice in a row, lie on the straight between their neighbours, or are the end of a
 * way there and back, on which the library may never end.
 */
function toRing(points: Float64Array): Path64 {
  const ring: Path64 = [];
  const adds = (a: Point64 | undefined, b: Point64 | undefined, c: Point64 | undefined): boolean =>
    a === undefined || b === undefined || c === undefined || (b.x - a.x) * (c.y - b.y) !== (b.y - a.y) * (c.x - b.x);
  for (const point of toPath(points)) {
    while (ring.length > 0 && !adds(ring.at(-2), ring.at(-1), point)) ring.pop();
    const last = ring.at(-1);
    if (last?.x !== point.x || last.y !== point.y) ring.push(point);
  }
  // The same where the end meets the beginning.
  while (ring.length >= 3) {
    if (!adds(ring.at(-2), ring.at(-1), ring[0])) ring.pop();
    else if (!adds(ring.at(-1), ring[0], ring[1])) ring.shift();
    else break;
  }
  return ring;
}

/** A ring that comes nowhere further from a line than this, in the library's measure, has nothing in it. */
const FLAT = 2;

function isFlat(ring: Path64): boolean {
  const farthest = (from: Path64[number]): Path64[number] =>
    ring.reduce((far, p) => (apart(p, from) > apart(far, from) ? p : far), from);
  const one = farthest(ring[0]!);
  const other = farthest(one);
  const length = apart(one, other);
  const [dx, dy] = [other.x - one.x, other.y - one.y];
  return length <= FLAT || ring.every(({ x, y }) => Math.abs((x - one.x) * dy - (y - one.y) * dx) <= FLAT * length);
}

function apart(p: Path64[number], q: Path64[number]): number {
  return Math.hypot(p.x - q.x, p.y - q.y);
}

function toRegion(paths: Paths64): Ring[] {
  const smallest = MIN_RING_AREA_MM2 * PER_MM * PER_MM;
  return paths.filter((path) => path.length >= 3 && Math.abs(Clipper.area(path)) >= smallest).map(fromPath);
}

/** Rings of any kind, crossing or not, made into a sound region under a fill rule. */
export function unite(rings: Region, rule: FillRuleName): Region {
  const fill = rule === 'evenodd' ? FillRule.EvenOdd : FillRule.NonZero;
  return toRegion(Clipper.union(toPaths(rings), fill));
}

/** What is left of a region when others are cut out of it. */
export function subtract(region: Region, others: Region): Region {
  return toRegion(Clipper.difference(toPaths(region), toPaths(others), FillRule.NonZero));
}

/** Where two regions overlap. */
export function intersect(region: Region, other: Region): Region {
  return toRegion(Clipper.intersect(toPaths(region), toPaths(other), FillRule.NonZero));
}

/** A region grown (or, with a negative distance, shrunk) by a distance, with round corners. */
export function offset(region: Region, distanceMm: number): Region {
  const grown = Clipper.inflatePaths(
    toPaths(region),
    distanceMm * PER_MM,
    JoinType.Round,
    EndType.Polygon,
    2,
    ARC_TOLERANCE_MM * PER_MM,
  );
  return toRegion(grown);
}

/** What a pen of a width draws along a line, with round ends and corners. */
export function offsetLine({ points, closed }: Polyline, distanceMm: number): Region {
  const end = closed ? EndType.Joined : EndType.Round;
  const grown = Clipper.inflatePaths(
    [toPath(points)],
    distanceMm * PER_MM,
    JoinType.Round,
    end,
    2,
    ARC_TOLERANCE_MM * PER_MM,
  );
  return toRegion(grown);
}

/** The pieces of lines that lie outside a region. A closed line that is not cut stays closed. */
export function subtractFromLines(lines: readonly Polyline[], region: Region): Polyline[] {
  return lines.flatMap((line) => cutLine(line, region));
}

function cutLine(line: Polyline, region: Region): Polyline[] {
  const path = toPath(line.points);
  if (line.closed && path.length > 0) path.push({ ...path[0]! });
  const clipper = new Clipper64();
  clipper.addOpenSubject([path]);
  clipper.addClip(toPaths(region));
  const pieces: Paths64 = [];
  clipper.execute(ClipType.Difference, FillRule.NonZero, [], pieces);
  const isWhole = pieces.length === 1 && isSameLength(pieces[0]!, path);
  if (isWhole) return [line];
  return joinEnds(pieces.filter((piece) => piece.length >= 2)).map((piece) => ({
    points: fromPath(piece),
    closed: false,
  }));
}

/** A closed line that was cut comes back with a needless break where it began: the two pieces are joined there. */
function joinEnds(pieces: Paths64): Paths64 {
  if (pieces.length < 2) return pieces;
  const rest = [...pieces];
  for (let i = 0; i < rest.length; i++) {
    const end = rest[i]!.at(-1)!;
    const next = rest.findIndex((other, j) => j !== i && other[0]!.x === end.x && other[0]!.y === end.y);
    if (next < 0) continue;
    rest[i] = [...rest[i]!, ...rest[next]!.slice(1)];
    rest.splice(next, 1);
    i = -1;
  }
  return rest;
}

function isSameLength(a: Path64, b: Path64): boolean {
  const length = (path: Path64): number =>
    path.reduce((sum, p, i) => (i === 0 ? 0 : sum + Math.hypot(p.x - path[i - 1]!.x, p.y - path[i - 1]!.y)), 0);
  return Math.abs(length(a) - length(b)) < 2;
}

/** The two sides of a region along a line across it, as seen when walking the line: y points down, so left is on the left hand. */
export function splitByLine(region: Region, points: Float64Array): { left: Region; right: Region } {
  const far = 4 * Math.max(1, ...region.flatMap((ring) => [...ring].map(Math.abs)), ...[...points].map(Math.abs));
  const last = points.length - 2;
  const outward = (at: number, from: number): [number, number] => {
    const [dx, dy] = [points[at]! - points[from]!, points[at + 1]! - points[from + 1]!];
    const length = Math.hypot(dx, dy) || 1;
    return [(dx / length) * far, (dy / length) * far];
  };
  const [sx, sy] = outward(0, Math.min(4, last));
  const [ex, ey] = outward(last, Math.max(0, last - 4));
  const [startX, startY, endX, endY] = [points[0]! + sx, points[1]! + sy, points[last]! + ex, points[last + 1]! + ey];
  // The left side lies beyond the line turned a quarter anticlockwise as seen.
  const [lx, ly] = [ey - sy, -(ex - sx)];
  const half = Float64Array.of(startX, startY, ...points, endX, endY, endX + lx, endY + ly, startX + lx, startY + ly);
  const side = unite([half], 'nonzero');
  return { left: intersect(region, side), right: subtract(region, side) };
}
