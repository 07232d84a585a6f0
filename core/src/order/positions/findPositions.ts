import { orderPositions } from './ordering.ts';
import { fewestCovering } from './covering.ts';
import { unitsOf, holds, leastRoom, type Unit } from './units.ts';
import type { PlannedPart } from '../../work/index.ts';
import { MOST_POSITIONS, type Hoop, type HoopPlace, type Piece } from '../../piece/index.ts';
import { innerHalvesMm } from '../../materials/index.ts';
import { smallestCircle, boxOf } from '../../geometry/index.ts';
import { hoopAt, pointsOf, roomHalvesMm } from '../../drawing/index.ts';

/** A hoop position with what is worked in it. */
export interface HoopPosition {
  readonly x: number;
  readonly y: number;
  /** The nominal size of the hoop that is used there, mm. */
  readonly nominalMm: number;
  /** Ids of the parts that lie wholly in it, and of those of which only a portion does. */
  readonly whole: readonly string[];
  readonly portions: readonly string[];
}

/**
 * Where the hoop must be set so that everything is reached with its air: the fewest positions, each part in one of them where it fits.
 * The middles that matter are those where two units touch the edge of the room (or one lies in the middle); among them the fewest are
 * found exactly for up to a few, else greedily with those that turn out needless taken out again.
 * @returns the middles in mm on the cloth, in working order (see {@link orderPositions}); null where even so many as can be kept do not reach all
 */
export function findPositions(parts: readonly PlannedPart[], hoop: Hoop): Piece['positions'] | null {
  const [across, upright] = roomHalvesMm(hoop);
  const room: [number, number] = [across + SET_TO_MM, upright + SET_TO_MM];
  const box = boxOf(parts.flatMap(({ placed }) => [...pointsOf(placed.shape)]));
  if (!box) return [];
  // No more positions than can be kept could reach so far.
  const wanted = ((box.maxX - box.minX) / (2 * room[0])) * ((box.maxY - box.minY) / (2 * room[1]));
  if (wanted > MOST_POSITIONS) return null;
  const units = parts.flatMap((part) => unitsOf(part.placed, room));
  if (units.length === 0) return [];
  const candidates = [...middleOfAll(units, room), ...candidateMiddles(units, room)];
  const covers = candidates.map(([x, y]) => Uint8Array.from(units, (unit) => Number(holds(unit, x, y, room))));
  const chosen = fewestCovering(covers, units.length);
  if (!chosen || chosen.length > MOST_POSITIONS) return null;
  const middles = chosen.map((c) => candidates[c]!);
  // One after the other: what two of them hold must not be let go by both.
  middles.forEach((middle, k) => (middles[k] = centredOn(middle, ownUnits(units, middles, k, room), room)));
  return orderPositions(parts, hoop, middles);
}

/** A hoop is set by hand to this at best: what needs so little more than the room that there is, fits. */
const SET_TO_MM = 0.1;

/** Where one position would reach everything, if any does: in the space squeezed to a circle the middle of the smallest circle round all. */
function middleOfAll(units: readonly Unit[], [a, b]: readonly [number, number]): [number, number][] {
  const squeeze = a / b;
  const squeezed = (points: Float64Array): Float64Array => points.map((value, i) => (i % 2 ? value * squeeze : value));
  const circle = smallestCircle(units.flatMap(({ points }) => points.map(squeezed)));
  return circle ? [[circle.x, circle.y / squeeze]] : [];
}

/** More units than this are paired only with those that lie near. */
const MOST_PAIRED = 90;

/** In the space squeezed to a circle: the middle of every unit, and for every pair the two places where both just fit. */
function candidateMiddles(units: readonly Unit[], [a, b]: readonly [number, number]): [number, number][] {
  const squeeze = a / b;
  const disks = units.map((unit) => ({
    x: unit.x,
    y: unit.y * squeeze,
    reach: Math.max(0, a - unit.r * Math.max(1, squeeze)),
  }));
  const found: [number, number][] = disks.map(({ x, y }) => [x, y / squeeze]);
  const step = Math.max(1, Math.ceil(units.length / MOST_PAIRED));
  for (let i = 0; i < disks.length; i += step) {
    for (let j = 0; j < i; j += step) {
      const [p, q] = [disks[i]!, disks[j]!];
      const [dx, dy] = [q.x - p.x, q.y - p.y];
      const apart = Math.hypot(dx, dy);
      if (apart < 1e-6 || apart > p.reach + q.reach) continue;
      const along = (apart ** 2 + p.reach ** 2 - q.reach ** 2) / (2 * apart);
      const aside = p.reach ** 2 - along ** 2;
      found.push([(p.x + q.x) / 2, (p.y + q.y) / 2 / squeeze]);
      if (aside < 0) continue;
      const h = Math.sqrt(aside);
      for (const side of [1, -1]) {
        const x = p.x + (along * dx - side * h * dy) / apart;
        const y = p.y + (along * dy + side * h * dx) / apart;
        found.push([x, y / squeeze]);
      }
    }
  }
  return found;
}

/** The units that no other position holds: these say where the position must lie. */
function ownUnits(
  units: readonly Unit[],
  middles: readonly (readonly [number, number])[],
  k: number,
  room: readonly [number, number],
): Unit[] {
  return units.filter((unit) => middles.every(([x, y], j) => (j === k) === holds(unit, x, y, room)));
}

/** A position moved to the middle of what only it holds, where it then still holds it. */
function centredOn(
  middle: readonly [number, number],
  own: readonly Unit[],
  room: readonly [number, number],
): [number, number] {
  const circle = smallestCircle(own.flatMap((unit) => unit.points));
  const isBetter = circle && own.every((unit) => holds(unit, circle.x, circle.y, room));
  const [x, y] = isBetter ? [circle.x, circle.y] : middle;
  return [Math.round(x * 10) / 10, Math.round(y * 10) / 10];
}

/** What is worked in each position: every part in the first that holds it, or in portions. */
export function worksOf(parts: readonly PlannedPart[], hoop: Hoop, middles: readonly HoopPlace[]): HoopPosition[] {
  const works = middles.map((place) => {
    const own = hoopAt(hoop, place);
    const [x, y] = place;
    return {
      x,
      y,
      nominalMm: own.nominalMm,
      room: innerHalvesMm(own),
      whole: [] as string[],
      portions: [] as string[],
    };
  });
  const least = leastRoom(
    works.map(({ room }) => room),
    innerHalvesMm(hoop),
  );
  for (const { placed } of parts) {
    const units = unitsOf(placed, least);
    const whole = works.find(({ x, y, room }) => units.length > 0 && units.every((unit) => holds(unit, x, y, room)));
    if (whole) whole.whole.push(placed.partId);
    else {
      for (const work of works) {
        if (units.some((unit) => holds(unit, work.x, work.y, work.room))) work.portions.push(placed.partId);
      }
    }
  }
  return works;
}
