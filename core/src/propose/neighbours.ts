import type { SettledPass, Settled } from './settled.ts';
import { TREATMENT } from './thresholds.ts';
import { deltaE, labOf, type Lab } from '../colour/index.ts';
import type { PlacedShape, ShapePair } from '../drawing/index.ts';
import { distanceBeyond, earlierMeeting, segmentsOf } from '../geometry/index.ts';
import { Memory, stage } from '../measure/index.ts';
import { colourName, type PlanInput, colourOf } from '../piece/index.ts';
import { stitchKind } from '../stitches/index.ts';
import { longestSpan } from './direction.ts';
import * as say from './words.ts';

/** A direction may be turned by this much to stand out from its neighbours, degrees. */
const TURN_DEG = 30;
/** Turned stitches may be longer by this factor, no more. */
const LONGER = 1.3;

/** How far two directions lie apart, in degrees from 0 to 90. */
export function degreesApart(a: number, b: number): number {
  const apart = Math.abs((((a - b) % 180) + 180) % 180);
  return Math.min(apart, 180 - apart);
}

/** Nearer than this share of what counts as touching, no nearer edge is looked for. */
const CLOSE = 0.999;
/** Outlines are looked at in steps of this, mm. */
const LOOK_MM = 0.5;

/** Whether two areas whose boxes meet touch along a stretch of their outlines; corners that meet are no neighbours. */
function touchAlong(a: PlacedShape, b: PlacedShape): boolean {
  const near = TREATMENT.touchingMm;
  const box = b.box!;
  let alongMm = 0;
  for (const ring of a.shape.region) {
    for (const [[ax, ay], [bx, by]] of segmentsOf({ points: ring, closed: true })) {
      const [ex, ey] = [bx - ax, by - ay];
      const length = Math.hypot(ex, ey);
      const pieces = Math.max(1, Math.ceil(length / LOOK_MM));
      for (let j = 0; j < pieces; j++) {
        const [x, y] = [ax + (ex * (j + 0.5)) / pieces, ay + (ey * (j + 0.5)) / pieces];
        if (x < box.minX - near || x > box.maxX + near || y < box.minY - near || y > box.maxY + near) continue;
        if (distanceBeyond(b.shape.region, x, y, near * CLOSE) < near) alongMm += length / pieces;
        if (alongMm >= TREATMENT.touchingAlongMm) return true;
      }
    }
  }
  return false;
}

export const TOUCHING = stage<ShapePair>()('touching', ['a', 'b'], ({ a, b }) => touchAlong(a, b));

/** Whether two areas whose boxes meet touch. */
export function touch(a: PlacedShape, b: PlacedShape, memory: Memory): boolean {
  return memory.made(TOUCHING, [a.partId, b.partId], { a, b });
}

/** Which areas of a piece touch and are worked in colours that are hardly told apart. */
export class Neighbours {
  private readonly earlier: readonly (readonly number[])[];
  private readonly labs = new Map<string, Lab>();
  private readonly nearEqual = new Map<string, boolean>();

  /** @param shapes one for each part of the piece, in its order */
  constructor(
    private readonly piece: PlanInput,
    private readonly shapes: readonly PlacedShape[],
    private readonly memory = new Memory(),
  ) {
    const areas = shapes.map(({ kind, box }) => (kind === 'area' ? box : null));
    this.earlier = earlierMeeting(areas, TREATMENT.touchingMm);
  }

  /** The areas before part i whose boxes meet its own: none where it is no area. */
  meetingBefore(i: number): readonly number[] {
    return this.earlier[i]!;
  }

  /** The parts before part i that touch it in a near-equal colour. */
  alikeBefore(i: number): number[] {
    const { parts } = this.piece.drawing;
    return this.earlier[i]!.filter((j) => this.areNearEqual(parts[i]!.colour, parts[j]!.colour) && this.touch(i, j));
  }

  /** Whether two areas whose boxes meet touch. */
  touch(i: number, j: number): boolean {
    return touch(this.shapes[i]!, this.shapes[j]!, this.memory);
  }

  private areNearEqual(a: string, b: string): boolean {
    if (a === b) return true;
    const pair = `${a} ${b}`;
    const known = this.nearEqual.get(pair) ?? deltaE(this.labOf(a), this.labOf(b)) < TREATMENT.nearEqual;
    this.nearEqual.set(pair, known);
    return known;
  }

  private labOf(id: string): Lab {
    const colour = colourOf(this.piece, id);
    const known = this.labs.get(id) ?? labOf(colourName(colour).hex);
    this.labs.set(id, known);
    return known;
  }
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

/**
 * The passes of a part as proposed, its filling turned where a touching one in a near-equal colour lies the same way: the angle
 * alone tells them apart. Parts of its group keep to each other, as they are worked alike.
 * @param alike the parts worked before it that touch it in a near-equal colour
 */
export function turnedFromNeighbours(
  { part, placed, passes }: Settled,
  alike: readonly Settled[],
): readonly SettledPass[] {
  const filling = placed.kind === 'area' ? straightFilling(passes) : undefined;
  if (!filling) return passes;
  const angles = alike.flatMap((other) => {
    const isOfGroup = part.group !== null && part.group === other.part.group;
    const theirs = isOfGroup ? undefined : straightFilling(other.passes);
    return theirs ? [theirs.angleDeg] : [];
  });
  const isApart = (angle: number): boolean =>
    angles.every((other) => degreesApart(angle, other) >= TREATMENT.leastTurnDeg);
  if (angles.length === 0 || isApart(filling.angleDeg)) return passes;
  const span = longestSpan(placed.shape.region, filling.angleDeg);
  const turned = [TURN_DEG, -TURN_DEG, 2 * TURN_DEG, -2 * TURN_DEG]
    .map((by) => (((filling.angleDeg + by) % 180) + 180) % 180)
    .find((angle) => isApart(angle) && longestSpan(placed.shape.region, angle) <= span * LONGER);
  if (turned === undefined) return passes;
  const reason = say.standsOut(filling.reason, turned);
  return passes.map((pass) => (pass === filling ? { ...pass, angleDeg: turned, reason } : pass));
}
