/**
 * A ring: the corners of a polygon as `x0, y0, x1, y1, …` in millimetres, y downwards; the last corner joins the first.
 * Example: a unit square is `Float64Array.of(0, 0, 1, 0, 1, 1, 0, 1)`, its `ringArea` is 1.
 */
export type Ring = Float64Array;

/** Rings that do not cross; a point is inside where an odd number of them surrounds it, so holes are rings too. */
export type Region = readonly Ring[];

/** An open or closed polyline, `x0, y0, x1, y1, …` in millimetres. A closed one does not repeat its first point. */
export interface Polyline {
  readonly points: Float64Array;
  readonly closed: boolean;
}

export interface Point {
  readonly x: number;
  readonly y: number;
}

export interface Box {
  readonly minX: number;
  readonly minY: number;
  readonly maxX: number;
  readonly maxY: number;
}

/** The signed area of a ring (shoelace), positive when it turns clockwise as seen with y downwards. */
export function ringArea(ring: Ring): number {
  let twice = 0;
  const last = ring.length - 2;
  if (last < 4) return 0;
  let px = ring[last]!;
  let py = ring[last + 1]!;
  for (let i = 0; i < ring.length; i += 2) {
    const x = ring[i]!;
    const y = ring[i + 1]!;
    twice += px * y - x * py;
    px = x;
    py = y;
  }
  return twice / 2;
}

/** The area of a region in mm²: outlines less holes. */
export function regionArea(region: Region): number {
  let sum = 0;
  for (const ring of region) sum += ringArea(ring);
  return Math.abs(sum);
}

export function regionPerimeter(region: Region): number {
  return region.reduce((sum, ring) => sum + polylineLength({ points: ring, closed: true }), 0);
}

export function polylineLength({ points, closed }: Polyline): number {
  let length = 0;
  for (let i = 2; i < points.length; i += 2) {
    length += Math.hypot(points[i]! - points[i - 2]!, points[i + 1]! - points[i - 1]!);
  }
  if (closed && points.length >= 4) {
    const last = points.length - 2;
    length += Math.hypot(points[0]! - points[last]!, points[1]! - points[last + 1]!);
  }
  return length;
}

/** The box around any number of flat coordinate arrays, or null where there is no point. */
export function boxOf(arrays: Iterable<ArrayLike<number>>): Box | null {
  let minX = Infinity;
  let minY = Infinity;
  let maxX = -Infinity;
  let maxY = -Infinity;
  for (const points of arrays) {
    for (let i = 0; i < points.length; i += 2) {
      const x = points[i]!;
      const y = points[i + 1]!;
      if (x < minX) minX = x;
      if (x > maxX) maxX = x;
      if (y < minY) minY = y;
      if (y > maxY) maxY = y;
    }
  }
  return minX <= maxX ? { minX, minY, maxX, maxY } : null;
}

/** Whether a place lies in a box, its edge counted in. */
export function isInBox({ minX, minY, maxX, maxY }: Box, x: number, y: number): boolean {
  return x >= minX && x <= maxX && y >= minY && y <= maxY;
}

/** Corners of a ring that is cut, sewn or looked at closely. */
const ROUND_CORNERS = 180;

/** An ellipse by its halves, from its right round by below. */
export function ellipseRing(x: number, y: number, a: number, b: number, corners = ROUND_CORNERS): Ring {
  return Float64Array.from({ length: 2 * corners }, (_, i) => {
    const angle = (2 * Math.PI * (i >> 1)) / corners;
    return i % 2 === 0 ? x + a * Math.cos(angle) : y + b * Math.sin(angle);
  });
}

/** The box of two boxes. */
export function aroundBoxes(a: Box, b: Box): Box {
  return {
    minX: Math.min(a.minX, b.minX),
    minY: Math.min(a.minY, b.minY),
    maxX: Math.max(a.maxX, b.maxX),
    maxY: Math.max(a.maxY, b.maxY),
  };
}

export function boxesMeet(a: Box, b: Box, withinMm = 0): boolean {
  return (
    a.minX - withinMm <= b.maxX &&
    b.minX - withinMm <= a.maxX &&
    a.minY - withinMm <= b.maxY &&
    b.minY - withinMm <= a.maxY
  );
}

/** Whether a point lies inside a region (even-odd ray cast). */
export function isInside(region: Region, x: number, y: number): boolean {
  let inside = false;
  for (const ring of region) {
    let j = ring.length - 2;
    for (let i = 0; i < ring.length; j = i, i += 2) {
      const yi = ring[i + 1]!;
      const yj = ring[j + 1]!;
      if (yi > y !== yj > y) {
        const xi = ring[i]!;
        if (x < ((ring[j]! - xi) * (y - yi)) / (yj - yi) + xi) inside = !inside;
      }
    }
  }
  return inside;
}

/** How wide a circle of an area is, mm. */
export function equalCircleMm(areaMm2: number): number {
  return 2 * Math.sqrt(areaMm2 / Math.PI);
}
