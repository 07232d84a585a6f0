import {
  boxOf,
  ellipseRing,
  inscribedCircle,
  isInside,
  lengthsOf,
  narrowestGap,
  offset,
  offsetLine,
  placeOn,
  ringArea,
  simplifyRegion,
  subtract,
  unite,
  wayRound,
  placeAt,
  type Circle,
  type Polyline,
  type Region,
  type Ring,
} from '../geometry/index.ts';
import { stage, type Memory } from '../measure/index.ts';
import type { Plan } from '../thread/index.ts';

/** No scissors follow an outline more closely than this, mm. */
const EDGE_WOBBLE_MM = 0.05;

/** What is grown first, and remembered: borders are all wider. Grown twice is as grown at once by both, and what lies near is one by then. */
const FIRST_MM = 2;
export const GROWN_AT_FIRST = stage<WorkedPiece>()('grown at first', ['worked'], ({ worked }) =>
  simplifyRegion(offset(worked, FIRST_MM), EDGE_WOBBLE_MM / 2),
);

/** What is worked of a piece, and what remembers how it was grown. */
export interface WorkedPiece {
  readonly worked: Region;
  readonly memory: Memory;
}

/** What is worked, grown by a border of at least 2 mm. */
export function grown(piece: WorkedPiece, mm: number): Region {
  const first = piece.memory.made(GROWN_AT_FIRST, [], piece);
  return simplifyRegion(offset(first, mm - FIRST_MM), EDGE_WOBBLE_MM / 4);
}

/** All that is stitched, laid on or printed of a piece: areas, lines and knots as wide as their thread lies. A plan outlives many changes of its end. */
export const WORKED_AREA = stage<Plan>()('worked area', ['parts'], ({ parts }): Region => {
  const shapes = parts.flatMap(({ part, placed: { shape }, passes }) => {
    if (passes.length === 0 && !part.scrap && !part.printed) return [];
    const half = Math.max(0, ...passes.map(({ laidMm }) => laidMm)) / 2;
    const spots = Array.from({ length: shape.spots.length / 2 }, (_, i) =>
      circleRing({ x: shape.spots[2 * i]!, y: shape.spots[2 * i + 1]!, r: 2 * half }),
    );
    return [unite(shape.region, 'evenodd'), ...shape.lines.map((line) => offsetLine(line, half)), spots];
  });
  return simplifyRegion(unite(shapes.flat(), 'nonzero'), EDGE_WOBBLE_MM);
});

export function circleRing({ x, y, r }: Circle): Ring {
  return ellipseRing(x, y, r, r);
}

/** A rectangle about a middle. */
export function rectangleRing(x: number, y: number, width: number, height: number): Ring {
  const [a, b] = [width / 2, height / 2];
  return Float64Array.of(x - a, y - b, x + a, y - b, x + a, y + b, x - a, y + b);
}

/** The rings that bound a shape from outside, in whichever way they run. */
export function outerRings(region: Region): Ring[] {
  return region.filter((ring, i) => {
    const [x, y] = placeAt(ring, 0);
    return !isInside(
      region.filter((_, k) => k !== i),
      x,
      y,
    );
  });
}

/** A ring as a closed line with the shape on its left hand, or its right. */
export function edgeLine(ring: Ring, isHole: boolean): Polyline {
  const isClockwise = ringArea(ring) > 0;
  if (isClockwise === isHole) return { points: ring, closed: true };
  const turned = new Float64Array(ring.length);
  for (let i = 0; i < ring.length; i += 2) turned.set(ring.subarray(ring.length - 2 - i, ring.length - i), i);
  return { points: turned, closed: true };
}

/** Edges of patches are no more pointed than this, inside and out, and close holes that are smaller, mm. */
const PATCH = { holeMm: 15, bayMm2: 12 } as const;
const LEAST_CORNER_MM = 3;
/** Bays narrower than twice this are edged first: the needle has the most room while the cloth outside still stands. */
const NARROW_MM = 8;
const BAY_TURN_RAD = 1;

export interface PatchOutline {
  readonly form: Region;
  /** How many pieces it is of. */
  readonly islands: number;
  /** Bays too narrow for a needle, which became cloth of the patch. */
  readonly closedBays: number;
}

/**
 * The outline of a patch: what is worked, widened by a border, which rounds what points outward; bays are round inside (a closing by a
 * disc), small holes closed.
 * @param cornerMm bays are no tighter than this
 * @param bridged islands are joined by a bridge as wide as two borders
 */
export function patchOutline(
  piece: WorkedPiece,
  borderMm: number,
  bridged: boolean,
  cornerMm: number = LEAST_CORNER_MM,
): PatchOutline {
  let form = offset(grown(piece, borderMm + cornerMm), -cornerMm);
  const bays = subtract(outerRings(form), outerRings(grown(piece, borderMm))).filter(
    (ring) => Math.abs(ringArea(ring)) > PATCH.bayMm2,
  ).length;
  let islands = outerRings(form).length;
  if (bridged && islands > 1) {
    form = offset(offset(bridge(form, borderMm), cornerMm), -cornerMm);
    islands = outerRings(form).length;
  }
  const [rings, outer] = [form, new Set(outerRings(form))];
  const kept = rings.filter((ring) => outer.has(ring) || 2 * (inscribedCircle([ring])?.r ?? 0) >= PATCH.holeMm);
  return { form: kept.map(smooth), islands, closedBays: bays };
}

const SMOOTH = { everyMm: 0.4, reach: 3 } as const;

/** A ring whose direction changes evenly, in short steps: what is worked across it fans out without gaps. */
function smooth(ring: Ring): Ring {
  const way = wayRound(ring);
  const lengths = lengthsOf(way);
  const whole = lengths.at(-1)!;
  const count = Math.max(3 * SMOOTH.reach, Math.round(whole / SMOOTH.everyMm));
  const places = Array.from({ length: count }, (_, i) => placeOn(way, lengths, (i * whole) / count));
  const out = new Float64Array(2 * count);
  for (let i = 0; i < count; i++) {
    for (let k = -SMOOTH.reach; k <= SMOOTH.reach; k++) {
      const [x, y] = places[(i + k + count) % count]!;
      out[2 * i]! += x / (2 * SMOOTH.reach + 1);
      out[2 * i + 1]! += y / (2 * SMOOTH.reach + 1);
    }
  }
  return out;
}

/** Where an outline turns tightly, and by more than a little. */
export interface TightTurns {
  /** Narrow inlets: it turns inward. */
  readonly bays: number;
  /** It turns outward. */
  readonly corners: number;
}

/** How often an outline turns tightly. @param lines its rings with the shape on their left, see {@link edgeLine} */
export function tightTurns(lines: readonly Polyline[]): TightTurns {
  let [bays, corners] = [0, 0];
  for (const { points } of lines) {
    const { bend, stepMm } = turnsOf(points);
    // The shape lies to the left: an inward bend turns to the right, clockwise as seen.
    bays += tightStretches(bend, stepMm);
    corners += tightStretches(
      bend.map((one) => -one),
      stepMm,
    );
  }
  return { bays, corners };
}

function tightStretches(bend: Float64Array, stepMm: number): number {
  const isTight = (i: number): boolean => bend[i % bend.length]! > 1 / NARROW_MM;
  const reach = Math.round((2 * NARROW_MM) / stepMm);
  // Begun after a long stretch without a tight bend, so that no bay is counted as two; its two corners are one bay.
  let from = 0;
  for (let free = 0; free < reach && from < bend.length + reach; from++) free = isTight(from) ? 0 : free + 1;
  let [found, turned, since] = [0, 0, reach];
  for (let i = 0; i < bend.length; i++) {
    since = isTight(from + i) ? 0 : since + 1;
    if (since >= reach) turned = 0;
    const before = turned;
    if (since === 0) turned += bend[(from + i) % bend.length]! * stepMm;
    if (before < BAY_TURN_RAD && turned >= BAY_TURN_RAD) found++;
  }
  return found;
}

/** Islands joined one by one, each time the two that lie nearest. */
export function bridge(form: Region, halfMm: number): Region {
  const closed = (ring: Ring): Polyline => ({ points: ring, closed: true });
  let joined = form;
  for (let islands = outerRings(joined); islands.length > 1; islands = outerRings(joined)) {
    const [first, ...others] = islands;
    const gap = narrowestGap([closed(first!)], others.map(closed), Infinity);
    if (!gap) return joined;
    const strip = offsetLine({ points: Float64Array.of(...gap.from, ...gap.to), closed: false }, halfMm);
    joined = unite([...joined, ...strip], 'nonzero');
  }
  return joined;
}

/** How a ring turns is looked at over this, mm. */
const TURN_WINDOW_MM = 6;
const LOOK_EVERY_MM = 1;

/** A ring walked in even steps, with how tightly it turns at each, 1/mm: clockwise as seen is positive. */
function turnsOf(ring: Ring): {
  readonly places: readonly [number, number][];
  readonly bend: Float64Array;
  readonly stepMm: number;
} {
  const way = wayRound(ring);
  const lengths = lengthsOf(way);
  const whole = lengths.at(-1)!;
  const count = Math.max(24, Math.round(whole / LOOK_EVERY_MM));
  const places = Array.from({ length: count }, (_, i) => placeOn(way, lengths, (i * whole) / count));
  const reach = Math.max(1, Math.round((TURN_WINDOW_MM / 2 / whole) * count));
  const at = (i: number): readonly [number, number] => places[(i + count) % count]!;
  const bend = Float64Array.from({ length: count }, (_, i) => {
    const [[ax, ay], [bx, by], [cx, cy]] = [at(i - reach), at(i), at(i + reach)];
    const turn = Math.atan2(
      (bx - ax) * (cy - by) - (by - ay) * (cx - bx),
      (bx - ax) * (cx - bx) + (by - ay) * (cy - by),
    );
    return turn / ((reach * whole) / count);
  });
  return { places, bend, stepMm: whole / count };
}

/** Where a seam bends more tightly than this it is notched, so that it lies flat when it is turned; notches end short of the stitches, mm. */
export const NOTCH = { tighterThanMm: 25, everyMm: 10, shortMm: 2 } as const;

/** The notches of a seam, from its cut edge inward. */
export function notchesOf(seam: Ring, seamMm: number): Polyline[] {
  const { places, bend, stepMm } = turnsOf(seam);
  const outward = ringArea(seam) > 0 ? 1 : -1;
  const notches: Polyline[] = [];
  let since: number = NOTCH.everyMm;
  places.forEach(([x, y], i) => {
    since += stepMm;
    if (Math.abs(bend[i]!) <= 1 / NOTCH.tighterThanMm || since < NOTCH.everyMm) return;
    const [before, after] = [places.at(i - 1)!, places[(i + 1) % places.length]!];
    const [dx, dy] = [after[0] - before[0], after[1] - before[1]];
    const length = Math.hypot(dx, dy) || 1;
    const at = (mm: number): [number, number] => [x + (outward * dy * mm) / length, y - (outward * dx * mm) / length];
    notches.push({ points: Float64Array.of(...at(seamMm), ...at(NOTCH.shortMm)), closed: false });
    since = 0;
  });
  return notches;
}

/** The straightest stretch of a seam, so long: there it is left open to be turned and stuffed. */
export function openingOn(seam: Ring, openingMm: number): { readonly opening: Polyline; readonly rest: Polyline } {
  const { places, bend, stepMm } = turnsOf(seam);
  const count = places.length;
  const span = Math.min(count - 8, Math.round(openingMm / stepMm));
  const turnFrom = (from: number): number => {
    let turn = 0;
    for (let k = 0; k <= span; k++) turn += Math.abs(bend[(from + k) % count]!);
    return turn;
  };
  let best = 0;
  let least = Infinity;
  for (let from = 0; from < count; from++) {
    const turn = turnFrom(from);
    if (turn < least - 1e-6) [best, least] = [from, turn];
  }
  const stretch = (from: number, steps: number): Polyline => ({
    points: Float64Array.from(Array.from({ length: steps + 1 }, (_, k) => places[(from + k) % count]!).flat()),
    closed: false,
  });
  return { opening: stretch(best, span), rest: stretch(best + span, count - span) };
}

/** How large a region is across and upright, mm. */
export function sizeOf(region: Region): readonly [number, number] {
  const box = boxOf(region);
  return box ? [box.maxX - box.minX, box.maxY - box.minY] : [0, 0];
}
