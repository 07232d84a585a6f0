import { stage, type Memory } from '../../measure/index.ts';
import { innerHalvesMm, type HoopSize } from '../../materials/index.ts';
import type { Hoop, HoopPlace } from '../../piece/index.ts';
import type { StitchShape } from '../../stitches/index.ts';
import { type PlacedShape, pointsOf, hoopAt, insideEllipseMm } from '../../drawing/index.ts';
import { type Circle, smallestCircle, placesOf, segmentsOf } from '../../geometry/index.ts';

/** What must lie inside one position: a part, or a portion of one that is larger than the hoop. */
export interface Unit extends Circle {
  readonly points: readonly Float64Array[];
}

export function unitsOf({ shape }: Pick<PlacedShape, 'shape'>, room: readonly [number, number]): Unit[] {
  const points = [...pointsOf(shape)].filter((array) => array.length > 0);
  const circle = smallestCircle(points);
  if (!circle) return [];
  const least = Math.min(...room);
  const whole = { ...circle, points };
  if (circle.r <= least || holds(whole, circle.x, circle.y, room)) return [whole];
  return portions(points, least / 3).map((portion) => ({ ...smallestCircle([portion])!, points: [portion] }));
}

/** Points gathered by squares of a grid, with the sides between far corners filled in. */
function portions(arrays: readonly Float64Array[], cellMm: number): Float64Array[] {
  const cells = new Map<string, number[]>();
  const put = (x: number, y: number): void => {
    const key = `${Math.floor(x / cellMm)},${Math.floor(y / cellMm)}`;
    const cell = cells.get(key);
    if (cell) cell.push(x, y);
    else cells.set(key, [x, y]);
  };
  for (const points of arrays) {
    for (const [[x, y], [nextX, nextY]] of segmentsOf({ points, closed: true })) {
      put(x, y);
      const steps = Math.min(400, Math.ceil(Math.hypot(nextX - x, nextY - y) / cellMm));
      for (let k = 1; k < steps; k++) put(x + ((nextX - x) * k) / steps, y + ((nextY - y) * k) / steps);
    }
  }
  return [...cells.values()].map((cell) => Float64Array.from(cell));
}

const HAIR_MM = 0.02;

export function holds(
  { points, x: ux, y: uy, r }: Unit,
  x: number,
  y: number,
  [a, b]: readonly [number, number],
): boolean {
  if (a === b) {
    const apart = Math.hypot(ux - x, uy - y);
    if (apart + r <= a + HAIR_MM) return true;
    if (apart - r > a) return false;
  }
  return points.every((array) => {
    for (const [px, py] of placesOf(array)) {
      if (insideEllipseMm(px - x, py - y, a, b) < -HAIR_MM) return false;
    }
    return true;
  });
}

/** Which positions hold a shape, and whether each of them holds all of it or none does. */
export interface Holding {
  readonly positions: readonly number[];
  readonly isWhole: boolean;
}

/** The positions that hold all of a shape; where none does, those that hold some of it. */
export function holdingOf(
  { partId, shape }: PlacedShape,
  hoop: Hoop,
  middles: readonly HoopPlace[],
  memory: Memory,
): Holding {
  return memory.made(HOLDING, [partId], { shape, size: sizeOf(hoop), middles });
}

interface ShapeInPositions {
  readonly shape: StitchShape;
  readonly size: HoopSize;
  readonly middles: readonly HoopPlace[];
}

export const HOLDING = stage<ShapeInPositions>()('holding', ['shape', 'size', 'middles'], (given): Holding => {
  const { size, middles } = given;
  const rooms = middles.map((middle) => innerHalvesMm(hoopAt(size, middle)));
  const units = unitsOf(given, leastRoom(rooms, innerHalvesMm(size)));
  const numbers = middles.map((_, k) => k);
  const isHeld = (k: number) => (unit: Unit) => holds(unit, middles[k]![0], middles[k]![1], rooms[k]!);
  const whole = units.length > 0 ? numbers.filter((k) => units.every(isHeld(k))) : [];
  return whole.length > 0
    ? { positions: whole, isWhole: true }
    : { positions: numbers.filter((k) => units.some(isHeld(k))), isWhole: false };
});

/** What of a hoop decides what it holds. */
export const sizeOf = ({ nominalMm, shortMm }: HoopSize): HoopSize => ({ nominalMm, shortMm });

/** The room of the smallest of some hoops: what is larger than that is looked at bit by bit. */
export function leastRoom(
  rooms: readonly (readonly [number, number])[],
  own: readonly [number, number],
): readonly [number, number] {
  return rooms.reduce((least, room) => (Math.min(...room) < Math.min(...least) ? room : least), rooms[0] ?? own);
}
