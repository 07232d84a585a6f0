import { insideEllipseMm, pointsOf, roomHalvesMm, type PlacedShape } from '../drawing/index.ts';
import { smallestCircle, type Circle } from '../geometry/index.ts';
import { innerHalvesMm, outerHalvesMm } from '../materials/index.ts';
import { MOST_POSITIONS, type Hoop } from '../piece/index.ts';
import type { Plan, PlannedPart } from '../plan/index.ts';
import { stitchKind } from '../stitches/index.ts';

/** The stitches that a ring crushes stand higher than this over the cloth, mm. */
const RAISED_MM = 0.8;

/** Whether a part is raised work: its stitches stand up, or lie over padding. */
export function isRaised({ passes }: PlannedPart): boolean {
  return passes.some((pass) => pass.liftMm > RAISED_MM || stitchKind(pass.stitch).isRaised);
}

/** A hoop position with what is worked in it. */
export interface HoopPosition {
  readonly x: number;
  readonly y: number;
  /** Ids of the parts that lie wholly in it, and of those of which only a portion does. */
  readonly whole: readonly string[];
  readonly portions: readonly string[];
}

/** What must lie inside one position: a part, or a portion of one that is larger than the hoop. */
interface Unit extends Circle {
  readonly points: readonly Float64Array[];
}

/**
 * Where the hoop must be set so that everything is reached with its air: the fewest positions, each part in one of them where it fits.
 * The middles that matter are those where two units touch the edge of the room (or one lies in the middle); among them the fewest are
 * found exactly for up to a few, else greedily with those that turn out needless taken out again.
 * @returns the middles in mm on the cloth, in working order (see {@link orderPositions}); null where even so many as can be kept do not reach all
 */
export function findPositions(plan: Plan, hoop: Hoop): [number, number][] | null {
  const room = roomHalvesMm(hoop);
  const { box } = plan.design;
  if (!box) return [];
  // No more positions than can be kept could reach so far.
  const wanted = ((box.maxX - box.minX) / (2 * room[0])) * ((box.maxY - box.minY) / (2 * room[1]));
  if (wanted > MOST_POSITIONS) return null;
  const units = plan.parts.flatMap((part) => unitsOf(part.placed, room));
  if (units.length === 0) return [];
  const candidates = candidateMiddles(units, room);
  const covers = candidates.map(([x, y]) => Uint8Array.from(units, (unit) => Number(holds(unit, x, y, room))));
  const chosen = fewestCovering(covers, units.length);
  if (!chosen || chosen.length > MOST_POSITIONS) return null;
  const middles = chosen.map((c) => candidates[c]!);
  // One after the other: what two of them hold must not be let go by both.
  middles.forEach((middle, k) => (middles[k] = centredOn(middle, ownUnits(units, middles, k, room), room)));
  return orderPositions(plan, hoop, middles);
}

function unitsOf({ shape }: PlacedShape, room: readonly [number, number]): Unit[] {
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
    for (let i = 0; i < points.length; i += 2) {
      const [x, y] = [points[i]!, points[i + 1]!];
      put(x, y);
      const [nextX, nextY] = [points[i + 2] ?? points[0]!, points[i + 3] ?? points[1]!];
      const steps = Math.min(400, Math.ceil(Math.hypot(nextX - x, nextY - y) / cellMm));
      for (let k = 1; k < steps; k++) put(x + ((nextX - x) * k) / steps, y + ((nextY - y) * k) / steps);
    }
  }
  return [...cells.values()].map((cell) => Float64Array.from(cell));
}

const HAIR_MM = 0.02;

function holds({ points, x: ux, y: uy, r }: Unit, x: number, y: number, [a, b]: readonly [number, number]): boolean {
  if (a === b) {
    const apart = Math.hypot(ux - x, uy - y);
    if (apart + r <= a + HAIR_MM) return true;
    if (apart - r > a) return false;
  }
  return points.every((array) => {
    for (let i = 0; i < array.length; i += 2) {
      if (insideEllipseMm(array[i]! - x, array[i + 1]! - y, a, b) < -HAIR_MM) return false;
    }
    return true;
  });
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

/** Ways to set the hoop that are looked at, the most telling first, and trials of the exact search before the greedy answer is taken. */
const MOST_ROWS = 500;
const MOST_TRIALS = 3000;

/**
 * The fewest rows that together cover every column: greedy first, then an exact search for fewer, as far as its trials go.
 * @returns the numbers of the rows; null where some column is covered by none
 */
export function fewestCovering(covers: readonly Uint8Array[], count: number): number[] | null {
  const gain = covers.map((row) => row.reduce((sum, value) => sum + value, 0));
  const seen = new Set<string>();
  const rows = covers
    .map((_, r) => r)
    .sort((p, q) => gain[q]! - gain[p]!)
    .filter((r) => {
      const key = covers[r]!.join('');
      return !seen.has(key) && seen.add(key);
    });
  const greedy = greedyCovering(covers, rows, count);
  if (!greedy) return null;
  const short = rows.slice(0, MOST_ROWS);
  const rowsOf = Array.from({ length: count }, (_, column) => short.filter((r) => covers[r]![column]));
  // Columns with the fewest rows first: they leave the fewest ways to go on.
  const columns = rowsOf.map((_, column) => column).sort((p, q) => rowsOf[p]!.length - rowsOf[q]!.length);
  const times = new Uint8Array(count);
  let trials = 0;
  const search = (room: number): number[] | null => {
    const column = columns.find((each) => times[each] === 0);
    if (column === undefined) return [];
    if (room === 0 || ++trials > MOST_TRIALS) return null;
    for (const row of rowsOf[column]!) {
      covers[row]!.forEach((value, i) => (times[i]! += value));
      const more = search(room - 1);
      covers[row]!.forEach((value, i) => (times[i]! -= value));
      if (more) return [row, ...more];
      if (trials > MOST_TRIALS) return null;
    }
    return null;
  };
  for (let wanted = 1; wanted < greedy.length && trials <= MOST_TRIALS; wanted++) {
    const found = search(wanted);
    if (found) return found;
  }
  return greedy;
}

function greedyCovering(covers: readonly Uint8Array[], rows: readonly number[], count: number): number[] | null {
  const isCovered = new Uint8Array(count);
  const chosen: number[] = [];
  for (let left = count; left > 0;) {
    let [best, most] = [-1, 0];
    for (const r of rows) {
      const row = covers[r]!;
      let sum = 0;
      for (let i = 0; i < count; i++) if (row[i] && !isCovered[i]) sum++;
      if (sum > most) [best, most] = [r, sum];
    }
    if (best < 0) return null;
    chosen.push(best);
    covers[best]!.forEach((value, i) => value && (isCovered[i] = 1));
    left -= most;
  }
  // Taken one by one: two that are each needless beside the other must not both go.
  return chosen.reduce((kept, row) => {
    const others = kept.filter((other) => other !== row);
    const isNeedless = covers[row]!.every((value, column) => !value || others.some((other) => covers[other]![column]));
    return isNeedless ? others : kept;
  }, chosen);
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
export function worksOf(plan: Plan, hoop: Hoop, middles: readonly (readonly [number, number])[]): HoopPosition[] {
  const room = innerHalvesMm(hoop);
  const works = middles.map(([x, y]) => ({ x, y, whole: [] as string[], portions: [] as string[] }));
  for (const { placed } of plan.parts) {
    const units = unitsOf(placed, room);
    const whole = works.find(({ x, y }) => units.length > 0 && units.every((unit) => holds(unit, x, y, room)));
    if (whole) whole.whole.push(placed.partId);
    else {
      for (const work of works) {
        if (units.some((unit) => holds(unit, work.x, work.y, room))) work.portions.push(placed.partId);
      }
    }
  }
  return works;
}

/** A raised part on which a later position lays the ring. */
export interface Crushed {
  readonly partId: string;
  /** Positions by their number, from 1. */
  readonly workedIn: number;
  readonly crushedBy: number;
}

/** Of every raised part: the positions that hold some of it, and those whose ring lies on it. */
interface RaisedPart {
  readonly partId: string;
  readonly heldBy: readonly number[];
  readonly underRingOf: readonly number[];
}

function raisedParts(plan: Plan, hoop: Hoop, middles: readonly (readonly [number, number])[]): RaisedPart[] {
  const room = innerHalvesMm(hoop);
  const numbers = middles.map((_, k) => k);
  return plan.parts.filter(isRaised).map(({ placed }) => {
    const units = unitsOf(placed, room);
    const isHeld = (k: number) => (unit: Unit) => holds(unit, ...middles[k]!, room);
    const whole = units.length > 0 ? numbers.filter((k) => units.every(isHeld(k))) : [];
    return {
      partId: placed.partId,
      heldBy: whole.length > 0 ? whole : numbers.filter((k) => units.some(isHeld(k))),
      underRingOf: numbers.filter((k) => isUnderRing(placed, hoop, middles[k]!)),
    };
  });
}

/** A raised part is worked in the first position that holds it; every later ring on it crushes it. */
function crushedIn(order: readonly number[], raised: readonly RaisedPart[]): Crushed[] {
  return raised.flatMap(({ partId, heldBy, underRingOf }): Crushed[] => {
    const workedIn = order.findIndex((k) => heldBy.includes(k));
    const crushedBy = order.findIndex((k, at) => workedIn >= 0 && at > workedIn && underRingOf.includes(k));
    return crushedBy < 0 ? [] : [{ partId, workedIn: workedIn + 1, crushedBy: crushedBy + 1 }];
  });
}

/** Raised work that would lie under the ring of a position that comes after it. */
export function crushedParts(plan: Plan, hoop: Hoop, middles: readonly (readonly [number, number])[]): Crushed[] {
  if (middles.length < 2) return [];
  return crushedIn(
    middles.map((_, k) => k),
    raisedParts(plan, hoop, middles),
  );
}

function isUnderRing({ shape }: PlacedShape, hoop: Hoop, [x, y]: readonly [number, number]): boolean {
  const [innerA, innerB] = innerHalvesMm(hoop);
  const [outerA, outerB] = outerHalvesMm(hoop);
  for (const points of pointsOf(shape)) {
    for (let i = 0; i < points.length; i += 2) {
      const [px, py] = [points[i]! - x, points[i + 1]! - y];
      if (insideEllipseMm(px, py, innerA, innerB) < 0 && insideEllipseMm(px, py, outerA, outerB) > 0) return true;
    }
  }
  return false;
}

/** Up to so many positions every order is tried. */
const MOST_ORDERED = 6;

/**
 * Positions in the order that crushes least raised work, and among those the one that moves the hoop least, beginning at the top left.
 */
export function orderPositions(
  plan: Plan,
  hoop: Hoop,
  middles: readonly (readonly [number, number])[],
): [number, number][] {
  const reading = [...middles].sort((p, q) => p[1] - q[1] || p[0] - q[0]);
  const raised = raisedParts(plan, hoop, reading);
  const cost = (order: readonly number[]): number => {
    const apart = (p: number, q: number): number =>
      Math.hypot(reading[p]![0] - reading[q]![0], reading[p]![1] - reading[q]![1]);
    const way = order.reduce((sum, place, k) => sum + (k ? apart(place, order[k - 1]!) : 0), 0);
    return crushedIn(order, raised).length * 1e6 + way;
  };
  let best: readonly number[] = reading.map((_, k) => k);
  if (reading.length > 1 && reading.length <= MOST_ORDERED) {
    let least = cost(best);
    for (const order of permutations(best)) {
      const tried = cost(order);
      if (tried < least - 1e-6) [best, least] = [order, tried];
    }
  }
  if (reading.length > MOST_ORDERED) best = improved(best, cost);
  return best.map((k) => [reading[k]![0], reading[k]![1]]);
}

/** Passes over an order in which one position at a time is put where it costs least. */
const MOST_PASSES = 4;

function improved(order: readonly number[], cost: (order: readonly number[]) => number): readonly number[] {
  let [best, least] = [order, cost(order)];
  for (let pass = 0; pass < MOST_PASSES; pass++) {
    const before = least;
    for (const moved of order) {
      const others = best.filter((k) => k !== moved);
      for (let at = 0; at <= others.length; at++) {
        const tried = [...others.slice(0, at), moved, ...others.slice(at)];
        const costs = cost(tried);
        if (costs < least - 1e-6) [best, least] = [tried, costs];
      }
    }
    if (least >= before) break;
  }
  return best;
}

function* permutations<T>(items: readonly T[]): Generator<T[]> {
  if (items.length < 2) {
    yield [...items];
    return;
  }
  for (let i = 0; i < items.length; i++) {
    for (const rest of permutations([...items.slice(0, i), ...items.slice(i + 1)])) yield [items[i]!, ...rest];
  }
}
