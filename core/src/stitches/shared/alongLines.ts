import { CHORD_TOLERANCE_MM, runsOf, RunWalker, stationsAlong, type Polyline } from '../../geometry/index.ts';

/** A place on a line: where, and the unit direction there. */
export interface Place {
  x: number;
  y: number;
  dx: number;
  dy: number;
}

/** One run of a line between corners, divided into steps. */
export interface SteppedRun {
  /** Lengths along the run at which steps begin and end. */
  readonly stations: Float64Array;
  readonly isFirst: boolean;
  readonly isLast: boolean;
  /** The place at a length along the run; a new object at each call. */
  place(lengthMm: number): Place;
}

/** How far a stitch may leave its line, mm: no further than its own thread covers. */
export function chordOf(laidMm: number): number {
  return Math.min(CHORD_TOLERANCE_MM, laidMm / 2);
}

/**
 * Divides every line into runs between corners and every run into steps, and hands them over in order.
 * @param chordMm how far a stitch may leave the line
 */
export function forEachRun(
  lines: readonly Polyline[],
  stepMm: number,
  reach: number,
  visit: (run: SteppedRun) => void,
  chordMm?: number,
): void {
  for (const line of lines) {
    const runs = runsOf(line);
    runs.forEach((run, i) => {
      const walker = new RunWalker(run);
      visit({
        stations: stationsAlong(run, stepMm, reach, chordMm),
        isFirst: i === 0,
        isLast: i === runs.length - 1,
        place: (lengthMm) => {
          const place = { x: 0, y: 0, dx: 0, dy: 0 };
          walker.at(lengthMm, place);
          return place;
        },
      });
    });
  }
}
