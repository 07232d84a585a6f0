import { boxOf, placeAt, type Box, type Polyline } from '../../geometry/index.ts';
import { Memory } from '../../measure/index.ts';
import { shadePatches } from '../../painting/index.ts';
import { threadOfStep, type Step } from '../../order/index.ts';
import type { Piece } from '../../piece/index.ts';
import { Move, stitchKind, type StitchPath } from '../../stitches/index.ts';
import type { Plan } from '../../thread/index.ts';
import { edgesOf } from '../../drawing/index.ts';
import { workedIn } from '../../work/index.ts';
import { frontOf, type Front } from '../frontRuns.ts';

/** What is drawn over a step so that a pupil can follow it, in mm on the cloth. */
export interface StepMarks extends StepFront {
  /** Which way the work goes from its start: an arrow; null: it stays there. */
  readonly way: readonly Polyline[] | null;
  /** Where one shade ends and the next begins. */
  readonly borders: readonly Polyline[];
}

/** The way is read off the first stitches up to this share of the step. */
const FIRST_SHARE = 0.3;
/** An arrow is so long at most and no shorter, mm. */
const ARROW_MM = { most: 6, least: 1.2, head: 1.1 } as const;

/**
 * What is drawn over a step; null where it has no stitch.
 * @param memory remembers how parts are divided into zones and sections
 */
export function stepMarks(piece: HeldPiece, plan: Plan, step: Step, memory = new Memory()): StepMarks | null {
  const planned = plan.parts[step.depth];
  const pass = planned?.passes[step.layer];
  const seen = stepFront(piece, plan, step, memory);
  if (!planned || !pass || !seen) return null;
  const isShaded = pass.shades.length > 1 && stitchKind(pass.stitch).canShade && planned.placed.kind === 'area';
  return {
    ...seen,
    way: arrowFrom(seen.start, seen.places),
    borders: isShaded ? shadeBorders(planned.placed.shape.region, pass.path, pass.laidMm) : [],
  };
}

type HeldPiece = Pick<Piece, 'hoop' | 'positions'>;

/** The stitches of a step as they are seen, and what they lie in. */
export interface StepFront {
  readonly front: Front;
  /** The box of its part and its stitches, mm on the cloth. */
  readonly box: Box;
  /** Where the needle comes up first. */
  readonly start: readonly [x: number, y: number];
  /** Where each stitch comes up and goes down, one after the other: `x0, y0, x1, y1, …`. */
  readonly places: Float64Array;
}

/** The stitches of a step as they are seen; null where it has none. */
export function stepFront(piece: HeldPiece, plan: Plan, step: Step, memory = new Memory()): StepFront | null {
  const planned = plan.parts[step.depth];
  const pass = planned?.passes[step.layer];
  const thread = threadOfStep(planned, step, piece.hoop, piece.positions, memory);
  if (!planned || !pass || !thread || thread.path.starts.length === 0) return null;
  const places = stitchPlaces(thread.path);
  return {
    front: frontOf(workedIn(pass, thread), thread.path),
    box: boxOf([places, ...edgesOf(planned.placed.shape).map(({ points }) => points)])!,
    start: [places[0]!, places[1]!],
    places,
  };
}

function shadeBorders(...[region, path, laidMm]: Parameters<typeof shadePatches>): Polyline[] {
  const patches = shadePatches(region, path, laidMm);
  return patches.length > 1 ? patches.flatMap(({ outline }) => outline) : [];
}

/** Where each stitch comes up and goes down, one after the other. */
function stitchPlaces({ codes, xy }: StitchPath): Float64Array {
  const places: number[] = [];
  codes.forEach((code, i) => {
    if (code === Move.up || code === Move.down) places.push(...placeAt(xy, i));
  });
  return Float64Array.from(places);
}

function arrowFrom([x, y]: readonly [number, number], places: Float64Array): Polyline[] | null {
  const count = places.length / 2;
  const until = Math.max(2, Math.ceil(count * FIRST_SHARE));
  let [sumX, sumY, seen] = [0, 0, 0];
  for (let i = 1; i < Math.min(until + 1, count); i++) {
    sumX += places[2 * i]! - x;
    sumY += places[2 * i + 1]! - y;
    seen++;
  }
  const [dx, dy] = [sumX / Math.max(1, seen), sumY / Math.max(1, seen)];
  const reach = Math.hypot(dx, dy);
  if (reach < ARROW_MM.least / 2) return null;
  const length = Math.min(ARROW_MM.most, Math.max(ARROW_MM.least, 1.6 * reach));
  const [ux, uy] = [dx / reach, dy / reach];
  const [tipX, tipY] = [x + ux * length, y + uy * length];
  const head = Math.min(ARROW_MM.head, length / 2);
  const open = (...points: number[]): Polyline => ({ points: Float64Array.from(points), closed: false });
  return [
    open(x, y, tipX, tipY),
    open(
      tipX - head * (ux + 0.6 * uy),
      tipY - head * (uy - 0.6 * ux),
      tipX,
      tipY,
      tipX - head * (ux - 0.6 * uy),
      tipY - head * (uy + 0.6 * ux),
    ),
  ];
}
