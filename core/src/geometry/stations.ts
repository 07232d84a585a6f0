import { placesOf } from './points.ts';
import { lengthsOf } from './alongPolyline.ts';
import type { Polyline } from './shapes.ts';

/** Where a line turns by more than this, a stitch must end there. */
const CORNER_RAD = (38 * Math.PI) / 180;
/** The greatest distance between a stitch and the drawn curve (mm), before stitches are shortened. */
export const CHORD_TOLERANCE_MM = 0.2;
const SHORTEST_STEP_MM = 0.6;
/** After this often, steps that still leave the line are as short as they get. */
const ROUNDS_OF_SHORTENING = 8;

/** A stretch of a line between two corners, with the length at each of its points. */
export interface Run {
  readonly points: Float64Array;
  readonly lengths: Float64Array;
  readonly lengthMm: number;
}

/** Cuts a line at its corners. A closed line is cut at least once, at its first corner or else at its start. */
export function runsOf(line: Polyline): Run[] {
  const { points, closed } = withoutRepeats(line);
  const count = points.length / 2;
  if (count < 2) return [];
  const corners = cornersOf(points, closed);
  if (!closed) return cutAt(points, [0, ...corners, count - 1]);
  const first = corners[0] ?? 0;
  const turned = new Float64Array((count + 1) * 2);
  for (let i = 0; i <= count; i++) {
    const from = (first + i) % count;
    turned[2 * i] = points[2 * from]!;
    turned[2 * i + 1] = points[2 * from + 1]!;
  }
  return cutAt(turned, [0, ...corners.slice(1).map((corner) => corner - first), count]);
}

function withoutRepeats({ points, closed }: Polyline): Polyline {
  const kept: number[] = [];
  for (const [x, y] of placesOf(points)) {
    const isRepeat = kept.length > 0 && Math.hypot(x - kept.at(-2)!, y - kept.at(-1)!) < 1e-6;
    if (!isRepeat) kept.push(x, y);
  }
  return { points: Float64Array.from(kept), closed: closed && kept.length > 4 };
}

function cornersOf(points: Float64Array, closed: boolean): number[] {
  const count = points.length / 2;
  const corners: number[] = [];
  for (let i = closed ? 0 : 1; i < (closed ? count : count - 1); i++) {
    if (Math.abs(turnAt(points, i)) > CORNER_RAD) corners.push(i);
  }
  return corners;
}

/** The angle by which a polyline turns at a point; neighbours wrap round. */
function turnAt(points: Float64Array, i: number): number {
  const count = points.length / 2;
  const before = 2 * ((i + count - 1) % count);
  const after = 2 * ((i + 1) % count);
  const ax = points[2 * i]! - points[before]!;
  const ay = points[2 * i + 1]! - points[before + 1]!;
  const bx = points[after]! - points[2 * i]!;
  const by = points[after + 1]! - points[2 * i + 1]!;
  return Math.atan2(ax * by - ay * bx, ax * bx + ay * by);
}

function cutAt(points: Float64Array, cuts: readonly number[]): Run[] {
  const runs: Run[] = [];
  for (let i = 0; i + 1 < cuts.length; i++) {
    const run = points.slice(2 * cuts[i]!, 2 * cuts[i + 1]! + 2);
    const lengths = lengthsOf(run);
    runs.push({ points: run, lengths, lengthMm: lengths.at(-1) ?? 0 });
  }
  return runs;
}

/** How a run is stepped along: even on straight stretches, shorter steps where it bends. */
export class Pace {
  private at = 0;

  constructor(
    private readonly run: Run,
    private readonly effort: Float64Array,
  ) {}

  /** How many steps the whole run takes; seldom a whole number. */
  get steps(): number {
    return this.effort.at(-1) ?? 0;
  }

  /** The length along the run after a number of steps. Asked for rising numbers, it answers each in constant time. */
  lengthAt(step: number): number {
    const { effort, run } = this;
    const last = effort.length - 2;
    if (step < effort[this.at]!) this.at = 0;
    while (this.at < last && effort[this.at + 1]! < step) this.at++;
    const share = (step - effort[this.at]!) / (effort[this.at + 1]! - effort[this.at]!);
    const from = run.lengths[this.at]!;
    return Math.min(run.lengthMm, from + share * (run.lengths[this.at + 1]! - from));
  }
}

/** @param reach how many steps one stitch spans: the stitch, not the step, must stay within the chord tolerance */
export function paceAlong(run: Run, stepMm: number, reach: number): Pace {
  return new Pace(run, stepEffort(run, stepMm, reach));
}

/**
 * Divides a run into whole steps, all but evenly long where it is straight. Where a stitch would leave the line by more than it may, steps are
 * shortened, down to the shortest that a hand works.
 * @param reach how many steps one stitch spans; 0: it follows the line
 * @param chordMm how far a stitch may leave the line
 * @returns the lengths along the run at which steps begin and end, from 0 to its length
 */
export function stationsAlong(
  run: Run,
  stepMm: number,
  reach: number,
  chordMm: number = CHORD_TOLERANCE_MM,
): Float64Array {
  const effort = stepEffort(run, stepMm, reach, chordMm);
  for (let round = 0; ; round++) {
    const pace = new Pace(run, effort);
    // Half a step is always rounded the same way, whatever the last digit of a turned line is.
    const count = Math.max(1, Math.round(pace.steps - 1e-6));
    const stations = Float64Array.from({ length: count + 1 }, (_, i) =>
      i === count ? run.lengthMm : pace.lengthAt((i * pace.steps) / count),
    );
    const between = (step: number): number => {
      const [i, share] = [Math.floor(step), step % 1];
      return i >= count ? run.lengthMm : stations[i]! + share * (stations[i + 1]! - stations[i]!);
    };
    if (reach === 0 || round === ROUNDS_OF_SHORTENING) return stations;
    const stretch = shortening(run, stations, (i) => between(i + reach), Math.min(stepMm, SHORTEST_STEP_MM), chordMm);
    if (!stretch) return stations;
    let before = 0;
    for (let i = 1; i < effort.length; i++) {
      const longer = (effort[i]! - before) * stretch[i]!;
      before = effort[i]!;
      effort[i] = effort[i - 1]! + longer;
    }
  }
}

/**
 * By how much more steps each edge of a run takes, so that no stitch leaves it further than it may; null: none does.
 * @param endOf where the stitch that begins with a step ends
 */
function shortening(
  run: Run,
  stations: Float64Array,
  endOf: (step: number) => number,
  shortestMm: number,
  chordMm: number,
): Float64Array | null {
  const { lengths } = run;
  const [walker, ahead] = [new RunWalker(run), new RunWalker(run)];
  const [from, to] = [
    { x: 0, y: 0, dx: 0, dy: 0 },
    { x: 0, y: 0, dx: 0, dy: 0 },
  ];
  let stretch: Float64Array | null = null;
  let first = 0;
  for (let step = 0; step + 1 < stations.length; step++) {
    const [start, end] = [stations[step]!, endOf(step)];
    while (first < lengths.length - 1 && lengths[first]! <= start) first++;
    if (lengths[first]! >= end || stations[step + 1]! - start <= shortestMm * 1.01) continue;
    walker.at(start, from);
    ahead.at(end, to);
    const awayMm = farthestFromChord(run, first, end, from, to);
    if (awayMm <= chordMm) continue;
    stretch ??= new Float64Array(lengths.length).fill(1);
    // How far a chord leaves a bend grows with the square of its length.
    const factor = Math.min(2, 1.02 * Math.sqrt(awayMm / chordMm));
    for (let i = first; i < lengths.length && lengths[i - 1]! < end; i++) stretch[i] = Math.max(stretch[i]!, factor);
  }
  return stretch;
}

/** How far the points of a run up to a length lie from the chord between two places, mm. */
function farthestFromChord(
  { points, lengths }: Run,
  first: number,
  endMm: number,
  from: { readonly x: number; readonly y: number },
  to: { readonly x: number; readonly y: number },
): number {
  const [dx, dy] = [to.x - from.x, to.y - from.y];
  const chord = Math.hypot(dx, dy) || 1;
  let farthest = 0;
  for (let i = first; i < lengths.length && lengths[i]! < endMm; i++) {
    farthest = Math.max(farthest, Math.abs(dx * (points[2 * i + 1]! - from.y) - dy * (points[2 * i]! - from.x)));
  }
  return farthest / chord;
}

/** How many steps it takes to reach each point of a run: its length over the step that its bend allows. */
function stepEffort(run: Run, stepMm: number, reach: number, chordMm: number = CHORD_TOLERANCE_MM): Float64Array {
  const count = run.lengths.length;
  const effort = new Float64Array(count);
  const bend = bendAt(run, stepMm);
  for (let i = 1; i < count; i++) {
    const curvature = Math.max(bend[i - 1]!, bend[i]!);
    // A chord c on radius r leaves it by c² / 8r.
    const allowed = curvature > 0 ? Math.sqrt((8 * chordMm) / curvature) / reach : stepMm;
    const step = Math.max(Math.min(stepMm, SHORTEST_STEP_MM), Math.min(stepMm, allowed));
    effort[i] = effort[i - 1]! + (run.lengths[i]! - run.lengths[i - 1]!) / step;
  }
  return effort;
}

/** Curvature (1/mm) at each point of a run, over a window of half a step. */
function bendAt(run: Run, stepMm: number): Float64Array {
  const heading = new Heading(run);
  const window = Math.min(stepMm / 2, run.lengthMm);
  return run.lengths.map((at) => heading.bend(at, window));
}

/** Which way a run heads: the direction of each edge holds at its middle and turns evenly from there to the next. */
class Heading {
  private readonly at: Float64Array;
  private readonly angle: Float64Array;

  constructor({ points, lengths }: Run) {
    const edges = Math.max(1, lengths.length - 1);
    this.at = new Float64Array(edges);
    this.angle = new Float64Array(edges);
    for (let i = 0; i < edges; i++) {
      this.at[i] = (lengths[i]! + lengths[i + 1]!) / 2;
      const direction = Math.atan2(points[2 * i + 3]! - points[2 * i + 1]!, points[2 * i + 2]! - points[2 * i]!);
      const before = i === 0 ? direction : this.angle[i - 1]!;
      const turn = direction - before;
      this.angle[i] = before + turn - 2 * Math.PI * Math.round(turn / (2 * Math.PI));
    }
  }

  /** The curvature around a place: how much the run turns within a window, over the window. */
  bend(atMm: number, windowMm: number): number {
    const from = Math.max(this.at[0]!, Math.min(atMm - windowMm / 2, this.at.at(-1)! - windowMm));
    const to = Math.min(this.at.at(-1)!, from + windowMm);
    return to > from ? Math.abs(this.angleAt(to) - this.angleAt(from)) / (to - from) : 0;
  }

  private angleAt(atMm: number): number {
    const { at, angle } = this;
    let [low, high] = [0, at.length - 1];
    if (atMm <= at[low]!) return angle[low]!;
    if (atMm >= at[high]!) return angle[high]!;
    while (high - low > 1) {
      const middle = (low + high) >> 1;
      if (at[middle]! <= atMm) low = middle;
      else high = middle;
    }
    const share = (atMm - at[low]!) / (at[high]! - at[low]!);
    return angle[low]! + share * (angle[high]! - angle[low]!);
  }
}

/** Walks along a run: asked for rising lengths it answers each in constant time. */
export class RunWalker {
  private edge = 0;

  constructor(private readonly run: Run) {}

  /** Writes the point at a length into `out` as x, y, and the unit direction there as dx, dy. */
  at(lengthMm: number, out: { x: number; y: number; dx: number; dy: number }): void {
    const { lengths, points } = this.run;
    const last = lengths.length - 2;
    while (this.edge < last && lengths[this.edge + 1]! < lengthMm) this.edge++;
    while (this.edge > 0 && lengths[this.edge]! > lengthMm) this.edge--;
    const i = this.edge;
    const span = lengths[i + 1]! - lengths[i]!;
    const dx = (points[2 * i + 2]! - points[2 * i]!) / span;
    const dy = (points[2 * i + 3]! - points[2 * i + 1]!) / span;
    const along = Math.min(Math.max(lengthMm - lengths[i]!, 0), span);
    out.x = points[2 * i]! + dx * along;
    out.y = points[2 * i + 1]! + dy * along;
    out.dx = dx;
    out.dy = dy;
  }
}

/** Curvature is taken over this length, so that single corners of a flattened curve do not count. */
const BEND_WINDOW_MM = 1;

/** The smallest radius of a line's bends, its corners left out; Infinity where it has none. */
export function tightestRadiusMm(line: Polyline): number {
  let sharpest = 0;
  for (const run of runsOf(line)) {
    const heading = new Heading(run);
    for (let at = 0; at <= run.lengthMm; at += BEND_WINDOW_MM / 2) {
      sharpest = Math.max(sharpest, heading.bend(at, Math.min(BEND_WINDOW_MM, run.lengthMm)));
    }
  }
  return sharpest > 1e-9 ? 1 / sharpest : Infinity;
}
