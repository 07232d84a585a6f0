import { deltaE, labOf } from '../colour/index.ts';
import type { PlacedShape } from '../drawing/index.ts';
import type { Part, Piece } from '../piece/index.ts';
import { colourName, type PlannedPart, type SettledPass } from '../plan/index.ts';
import { stitchKind } from '../stitches/index.ts';
import { longestSpan } from './direction.ts';
import { THRESHOLDS } from './thresholds.ts';

/** A direction may be turned by this much to stand out from its neighbours, degrees. */
const TURN_DEG = 30;
/** Turned stitches may be longer by this factor, no more. */
const LONGER = 1.3;

/** How far two directions lie apart, in degrees from 0 to 90. */
export function degreesApart(a: number, b: number): number {
  const apart = Math.abs((((a - b) % 180) + 180) % 180);
  return Math.min(apart, 180 - apart);
}

/** Outlines are looked at in steps of this, mm. */
const LOOK_MM = 0.5;

/** Whether two areas touch along a stretch of their outlines; corners that meet are no neighbours. */
export function touch(a: PlacedShape, b: PlacedShape): boolean {
  const near = THRESHOLDS.touchingMm;
  if (!a.box || !b.box) return false;
  if (a.box.minX > b.box.maxX + near || b.box.minX > a.box.maxX + near) return false;
  if (a.box.minY > b.box.maxY + near || b.box.minY > a.box.maxY + near) return false;
  const box = b.box;
  let alongMm = 0;
  for (const ring of a.shape.region) {
    for (let i = 0; i < ring.length; i += 2) {
      const k = (i + 2) % ring.length;
      const [ax, ay, ex, ey] = [ring[i]!, ring[i + 1]!, ring[k]! - ring[i]!, ring[k + 1]! - ring[i + 1]!];
      const length = Math.hypot(ex, ey);
      const pieces = Math.max(1, Math.ceil(length / LOOK_MM));
      for (let j = 0; j < pieces; j++) {
        const [x, y] = [ax + (ex * (j + 0.5)) / pieces, ay + (ey * (j + 0.5)) / pieces];
        if (x < box.minX - near || x > box.maxX + near || y < box.minY - near || y > box.maxY + near) continue;
        if (b.shape.region.some((other) => isNearRing(other, x, y, near))) alongMm += length / pieces;
        if (alongMm >= THRESHOLDS.touchingAlongMm) return true;
      }
    }
  }
  return false;
}

function isNearRing(ring: Float64Array, x: number, y: number, near: number): boolean {
  for (let j = 0; j < ring.length; j += 2) {
    const k = (j + 2) % ring.length;
    const [ax, ay, ex, ey] = [ring[j]!, ring[j + 1]!, ring[k]! - ring[j]!, ring[k + 1]! - ring[j + 1]!];
    const t = Math.min(1, Math.max(0, ((x - ax) * ex + (y - ay) * ey) / (ex * ex + ey * ey || 1)));
    if (Math.hypot(x - ax - t * ex, y - ay - t * ey) < near) return true;
  }
  return false;
}

/** Whether two colours of a piece are hardly told apart. */
export function areNearEqual(piece: Piece, a: string, b: string): boolean {
  if (a === b) return true;
  const hex = (id: string): string | undefined => {
    const colour = piece.palette.find((entry) => entry.id === id);
    return colour && colourName(colour).hex;
  };
  const [first, second] = [hex(a), hex(b)];
  return first !== undefined && second !== undefined && deltaE(labOf(first), labOf(second)) < THRESHOLDS.nearEqual;
}

/** The straight filling of a part whose direction can be seen; undefined where it has none. */
export function straightFilling<
  P extends { readonly role: string; readonly stitch: SettledPass['stitch']; readonly direction: string },
>(passes: readonly P[]): P | undefined {
  return passes.find(
    ({ role, stitch, direction }) =>
      role === 'filling' &&
      direction === 'straight' &&
      stitchKind(stitch).hasDirection &&
      stitchKind(stitch).coverWidths > 0,
  );
}

interface Settled {
  readonly part: Part;
  readonly placed: PlacedShape;
  readonly passes: readonly SettledPass[];
}

/**
 * The passes of a part as proposed, its filling turned where a touching one in a near-equal colour lies the same way: the angle
 * alone tells them apart. Parts alike keep to each other, as they are worked alike.
 */
export function turnedFromNeighbours(
  piece: Piece,
  laid: readonly PlannedPart[],
  { part, placed, passes }: Settled,
): readonly SettledPass[] {
  const filling = placed.kind === 'area' ? straightFilling(passes) : undefined;
  if (!filling) return passes;
  const angles = laid.flatMap((other) => {
    if (part.group !== null && part.group === other.part.group) return [];
    const theirs = other.placed.kind === 'area' ? straightFilling(other.passes) : undefined;
    const meets = theirs && areNearEqual(piece, part.colour, other.part.colour) && touch(placed, other.placed);
    return meets ? [theirs.angleDeg] : [];
  });
  const isApart = (angle: number): boolean =>
    angles.every((other) => degreesApart(angle, other) >= THRESHOLDS.leastTurnDeg);
  if (angles.length === 0 || isApart(filling.angleDeg)) return passes;
  const span = longestSpan(placed.shape.region, filling.angleDeg);
  const turned = [TURN_DEG, -TURN_DEG, 2 * TURN_DEG, -2 * TURN_DEG]
    .map((by) => (((filling.angleDeg + by) % 180) + 180) % 180)
    .find((angle) => isApart(angle) && longestSpan(placed.shape.region, angle) <= span * LONGER);
  if (turned === undefined) return passes;
  const reason = `${filling.reason} Turned to ${Math.round(turned)}° so that it stands out from what it touches.`;
  return passes.map((pass) => (pass === filling ? { ...pass, angleDeg: turned, reason } : pass));
}
