import type { Point } from '../../geometry/index.ts';
import type { StitchContext, StitchShape } from '../kind.ts';
import type { MoveSink } from '../moves.ts';
import { chordOf, forEachRun, type Place, type SteppedRun } from './alongLines.ts';

/** Half the width of a loop, in laid widths. */
const HALF_LOOP = 0.75;
/** Where the two sides of a loop lie, as shares of its length, and how far out there. */
const SIDES: readonly (readonly [along: number, out: number])[] = [
  [0.25, 0.8],
  [0.6, 1],
  [0.9, 0.75],
];
/** How far the loop's end lies beyond the thread that comes up inside it, in laid widths. */
const ROUND_THREAD = 0.3;
/** How far over the last loop its tie goes down, in laid widths. */
const TIE = 1.3;

/** A loop held, down where it came up, up inside the loop's end: two in front, one behind. */
export function workChain(shape: StitchShape, stitchMm: number, { laidMm }: StitchContext, sink: MoveSink): void {
  const work = ({ stations, place, isFirst, isLast }: SteppedRun): void => {
    if (isFirst) sink.travel();
    let from = place(stations[0]!);
    for (let i = 1; i < stations.length; i++) {
      const to = place(stations[i]!);
      workLink(from, to, laidMm, sink);
      from = to;
    }
    if (isLast) tieDown(from, laidMm, sink);
  };
  forEachRun(shape.lines, stitchMm, 1, work, chordOf(laidMm));
}

/** One loop from a place to the next, held down where it came up. */
export function workLink(from: Place, to: Place, laidMm: number, sink: MoveSink): void {
  sink.stitch();
  sink.up(from.x, from.y);
  loopSides(from, to, laidMm, sink);
  sink.down(from.x, from.y);
}

/** The thread of a loop, out along one side, round the place where it is held, and back along the other. */
export function loopSides(from: Place, to: Place, laidMm: number, sink: MoveSink): void {
  const length = Math.hypot(to.x - from.x, to.y - from.y) || 1;
  const [dx, dy] = [(to.x - from.x) / length, (to.y - from.y) / length];
  const half = Math.min(HALF_LOOP * laidMm, length * 0.28);
  const via = (along: number, out: number): void =>
    sink.via(from.x + dx * length * along - dy * half * out, from.y + dy * length * along + dx * half * out);
  for (const [along, out] of SIDES) via(along, out);
  via(1 + (ROUND_THREAD * laidMm) / length, 0);
  for (let i = SIDES.length - 1; i >= 0; i--) via(SIDES[i]![0], -SIDES[i]![1]);
}

/** A single loop, held down at its end by a small stitch over it that goes down at `anchor`. */
export function workTiedLink(from: Place, to: Place, anchor: Point, laidMm: number, sink: MoveSink): void {
  sink.travel();
  workLink(from, to, laidMm, sink);
  tieTo(to, anchor, sink);
}

/** A small stitch over the end of the last loop of a line. */
export function tieDown(end: Place, laidMm: number, sink: MoveSink): void {
  tieTo(end, { x: end.x + end.dx * TIE * laidMm, y: end.y + end.dy * TIE * laidMm }, sink);
}

function tieTo(end: Point, anchor: Point, sink: MoveSink): void {
  sink.stitch();
  sink.up(end.x, end.y);
  sink.down(anchor.x, anchor.y);
}
