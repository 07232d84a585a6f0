import { lengthsOf, placeOn, wayRound, type Polyline } from '../geometry/index.ts';
import { measurePath, MoveRecorder, type Quantities, type StitchPath } from '../stitches/index.ts';

/** Sewing thread: as thick as it is usually sold, with the slack of careful hands. */
const SEWING = { bundleMm: 0.25, slack: 0.03 } as const;
/** What a length of sewing thread loses where it is knotted and fastened off, mm. */
export const SEWN_ENDS_MM = 200;

/** What hand sewing through cloth of some thickness takes. */
export function sewn(path: StitchPath, throughMm: number, findSeconds = 1): Quantities {
  return measurePath(path, {
    clothMm: throughMm,
    travelMm: Infinity,
    pace: { findSeconds, care: 1 },
    ...SEWING,
  }).quantities;
}

/** Places along a line, so far apart that they come out even; a closed line ends where it began. */
export function placesAlong({ points, closed }: Polyline, everyMm: number): [x: number, y: number][] {
  const way = closed ? wayRound(points) : points;
  const lengths = lengthsOf(way);
  const whole = lengths.at(-1) ?? 0;
  const count = Math.max(1, Math.round(whole / everyMm));
  return Array.from({ length: count + 1 }, (_, i) => placeOn(way, lengths, (i * whole) / count));
}

/** Running stitches along a line: in front and behind by turns, each so long. */
export function runningAlong(line: Polyline, stitchMm: number): StitchPath {
  const needle = new MoveRecorder();
  const places = placesAlong(line, stitchMm);
  // The last place is the end of a stitch, or nothing begins there: round a ring it is where the first one came up.
  for (let i = 0; i + 1 < places.length; i += 2) {
    needle.stitch();
    needle.up(...places[i]!);
    needle.down(...places[i + 1]!);
  }
  return needle.path();
}

/** Over and over along a line, so far apart, biting so far in to its left. */
export function whippedAlong(line: Polyline, everyMm: number, biteMm: number): StitchPath {
  const needle = new MoveRecorder();
  const places = placesAlong(line, everyMm);
  for (let i = 0; i + 1 < places.length; i++) {
    const [[x, y], [nextX, nextY]] = [places[i]!, places[i + 1]!];
    const length = Math.hypot(nextX - x, nextY - y) || 1;
    needle.stitch();
    needle.up(x, y);
    needle.down(x + ((nextY - y) / length) * biteMm, y - ((nextX - x) / length) * biteMm);
  }
  return needle.path();
}

/** Back stitches along a line. */
export function backStitched(line: Polyline, stitchMm: number): StitchPath {
  const needle = new MoveRecorder();
  const places = placesAlong(line, stitchMm);
  for (let i = 1; i < places.length; i++) {
    needle.stitch();
    needle.up(...places[i]!);
    needle.down(...places[i - 1]!);
  }
  return needle.path();
}

/** How far the folds of an opening lie apart when ladder stitches draw them together. */
const LADDER_GAP_MM = 1;

/** Ladder stitches: along one fold, across, along the other. */
export function laddered(openingMm: number, stitchMm: number): StitchPath {
  const needle = new MoveRecorder();
  const count = Math.max(2, Math.round(openingMm / stitchMm));
  const step = openingMm / count;
  for (let i = 0; i < count; i++) {
    const y = i % 2 === 0 ? 0 : LADDER_GAP_MM;
    needle.stitch();
    needle.up(i * step, y);
    needle.down((i + 1) * step, y);
  }
  return needle.path();
}

/** How far from its raw edge the cloth that is turned over is gripped, mm. */
const GRIPPED_MM = 10;

/** Thread laced behind a board from one side to the other and back, so far apart. */
export function laced(acrossMm: number, alongMm: number, turnedMm: number, everyMm: number): StitchPath {
  const needle = new MoveRecorder();
  const count = Math.max(2, Math.round(alongMm / everyMm) + 1);
  const step = alongMm / (count - 1);
  const from = turnedMm - GRIPPED_MM;
  const to = acrossMm - from;
  for (let i = 0; i < count; i++) {
    needle.stitch();
    const ends: [number, number] = i % 2 === 0 ? [from, to] : [to, from];
    needle.up(ends[0], i * step);
    needle.down(ends[1], i * step);
  }
  return needle.path();
}

/** Two holding stitches, then one every so far along an edge, each over it and back. */
export function sewnOn(line: Polyline, everyMm: number, biteMm: number): StitchPath {
  const needle = new MoveRecorder();
  const places = placesAlong(line, everyMm);
  const over = (x: number, y: number): void => {
    needle.stitch();
    needle.up(x, y);
    needle.down(x + biteMm, y);
  };
  over(...places[0]!);
  for (const [x, y] of line.closed ? places.slice(0, -1) : places) over(x, y);
  return needle.path();
}

/** What several lines of hand sewing take together. */
export function together(lines: readonly Quantities[]): Pick<Quantities, 'stitches' | 'threadMm' | 'seconds'> {
  const sum = (key: 'stitches' | 'threadMm' | 'seconds'): number => lines.reduce((all, line) => all + line[key], 0);
  return { stitches: sum('stitches'), threadMm: sum('threadMm'), seconds: sum('seconds') };
}
