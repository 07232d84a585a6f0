import {
  convexHull,
  inscribedCircle,
  offset,
  placesOf,
  regionArea,
  segmentsOf,
  subtract,
  type Circle,
  type Region,
  type Ring,
} from '../geometry/index.ts';
import { bridge, circleRing, grown, outerRings, type WorkedPiece } from './outlines.ts';

/** Steps in which drawn shapes are walked round. */
const ROUND_STEPS = 180;

/** Shapes of ornaments, drawn once about their middle; scaled so that the design has room in them. */
const DRAWN: Readonly<Record<'disc' | 'heart' | 'drop', (angle: number) => readonly [x: number, y: number]>> = {
  disc: (angle) => [Math.cos(angle), Math.sin(angle)],
  heart: plumpHeart,
  drop: (angle) => [Math.sin(angle) * Math.sin(angle / 2) ** 1.5, -1.25 * Math.cos(angle)],
};
/** A plump heart, which holds a round design with little cloth about it: half as wide as 1, its dent, its shoulders and its tip below its middle. */
const HEART = {
  dent: -0.78,
  shoulderX: 0.52,
  shoulderY: -0.92,
  sideY: -0.25,
  tipY: 1.08,
  topShare: 0.45,
  dentShare: 0.4,
} as const;

/** The heart from its dent round by its right side, its tip and its left side. */
function plumpHeart(angle: number): readonly [x: number, y: number] {
  const isLeft = angle > Math.PI;
  const share = (isLeft ? 2 * Math.PI - angle : angle) / Math.PI;
  const [x, y] =
    share < HEART.topShare
      ? heartTop(share / HEART.topShare)
      : heartSide((share - HEART.topShare) / (1 - HEART.topShare));
  return [isLeft ? -x : x, y];
}

function heartTop(share: number): readonly [x: number, y: number] {
  const { dent, shoulderX, shoulderY, sideY, dentShare } = HEART;
  if (share < dentShare) {
    const left = 1 - share / dentShare;
    return [shoulderX * (1 - left), shoulderY + (dent - shoulderY) * left ** 2];
  }
  const turn = ((share - dentShare) / (1 - dentShare)) * (Math.PI / 2);
  return [shoulderX + (1 - shoulderX) * Math.sin(turn), sideY + (shoulderY - sideY) * Math.cos(turn)];
}

function heartSide(share: number): readonly [x: number, y: number] {
  return [Math.cos((share * Math.PI) / 2), HEART.sideY + (HEART.tipY - HEART.sideY) * share];
}

/** Points are rounded by this, so that cloth can be turned in them, mm. */
const ORNAMENT_CORNER_MM = 4;

/**
 * The outline of a stuffed ornament: the smallest disc, heart or drop in which all that is worked has its margin, or the design's own outline.
 * @param circle the smallest circle about the design
 */
export function ornamentOutline(
  shape: 'disc' | 'heart' | 'drop' | 'outline',
  piece: WorkedPiece,
  circle: Circle,
  marginMm: number,
): Region {
  if (shape === 'outline') {
    const wide = grown(piece, marginMm + 3 * ORNAMENT_CORNER_MM);
    return outerRings(bridge(offset(wide, -3 * ORNAMENT_CORNER_MM), marginMm));
  }
  if (shape === 'disc') return [circleRing({ ...circle, r: circle.r + marginMm })];
  const unit = Float64Array.from({ length: 2 * ROUND_STEPS }, (_, i) => {
    return DRAWN[shape]((2 * Math.PI * (i >> 1)) / ROUND_STEPS)[i % 2]!;
  });
  const room = inscribedCircle([unit])!;
  const held = offset(convexHull(piece.worked).length > 2 ? [hullRing(piece.worked)] : piece.worked, marginMm);
  const { x, y, scale } = smallestAbout(unit, room, held, circle, marginMm);
  // Its points and its dent are rounded, so that cloth can be turned in them: it grows until all is held.
  for (let larger = STARTED_AT * scale; ; larger *= GROWN_BY) {
    const ring = unit.map((value, i) => (i % 2 === 0 ? x + larger * (value - room.x) : y + larger * (value - room.y)));
    const open = offset(offset([ring], -ORNAMENT_CORNER_MM), ORNAMENT_CORNER_MM);
    const rounded = outerRings(offset(offset(open, ORNAMENT_CORNER_MM), -ORNAMENT_CORNER_MM));
    if (regionArea(subtract(held, rounded)) < HELD_MM2 || larger > MOST_GROWN * scale) return rounded;
  }
}

const STARTED_AT = 0.85;
const GROWN_BY = 1.01;
const MOST_GROWN = 2;
const HELD_MM2 = 0.5;

function hullRing(worked: Region): Ring {
  return Float64Array.from(convexHull(worked).flatMap(({ x, y }) => [x, y]));
}

/** Rays from the middle of a shape by which its outline is known. */
const RAYS = 720;
/** A place is looked for in steps from this share of the circle down to that, mm. */
const SEEK = { firstShare: 0.5, leastMm: 0.05 } as const;

/** Where a shape is the smallest that holds a region, and how large it is there: sought from the middle of the region, in ever finer steps. */
function smallestAbout(
  unit: Ring,
  room: Circle,
  held: Region,
  circle: Circle,
  marginMm: number,
): { readonly x: number; readonly y: number; readonly scale: number } {
  const reach = reachByRay(unit, room);
  const places = held.flatMap((ring) => [...placesOf(ring)]);
  const scaleAt = (x: number, y: number): number =>
    places.reduce((most, [px, py]) => {
      const [dx, dy] = [px - x, py - y];
      const turn = (Math.atan2(dy, dx) / (2 * Math.PI) + 1) % 1;
      return Math.max(most, Math.hypot(dx, dy) / reach[Math.round(turn * RAYS) % RAYS]!);
    }, 0);
  let best = { x: circle.x, y: circle.y, scale: scaleAt(circle.x, circle.y) };
  for (let step = SEEK.firstShare * (circle.r + marginMm); step > SEEK.leastMm;) {
    const tried = Array.from({ length: 8 }, (_, k) => {
      const [x, y] = [best.x + step * Math.cos((k * Math.PI) / 4), best.y + step * Math.sin((k * Math.PI) / 4)];
      return { x, y, scale: scaleAt(x, y) };
    });
    const better = tried.reduce((a, b) => (b.scale < a.scale ? b : a), best);
    if (better === best) step /= 2;
    else best = better;
  }
  return best;
}

/** How far a ring lies from a place inside it, ray by ray; the nearest crossing counts. */
function reachByRay(ring: Ring, { x, y }: Circle): Float64Array {
  const reach = new Float64Array(RAYS).fill(Infinity);
  for (const [[ax, ay], [bx, by]] of segmentsOf({ points: ring, closed: true })) {
    const [from, to] = [Math.atan2(ay - y, ax - x), Math.atan2(by - y, bx - x)];
    const turn = Math.atan2(Math.sin(to - from), Math.cos(to - from));
    const [first, last] = turn >= 0 ? [from, from + turn] : [from + turn, from];
    for (let k = Math.ceil((first / (2 * Math.PI)) * RAYS); k <= Math.floor((last / (2 * Math.PI)) * RAYS); k++) {
      const angle = (2 * Math.PI * k) / RAYS;
      const [ux, uy] = [Math.cos(angle), Math.sin(angle)];
      const across = (by - ay) * ux - (bx - ax) * uy;
      if (across === 0) continue;
      const along = ((by - ay) * (ax - x) - (bx - ax) * (ay - y)) / across;
      const ray = ((k % RAYS) + RAYS) % RAYS;
      if (along > 0) reach[ray] = Math.min(reach[ray]!, along);
    }
  }
  return reach;
}
