import { placeAt } from './points.ts';
import { lengthsOf, placeOn, wayRound } from './alongPolyline.ts';
import type { Polyline } from './shapes.ts';

/** Lines are looked at this often, mm. */
const STEP_MM = 0.2;
/** Where lines merely cross, nothing is left out: only stretches longer than this are drawn already, mm. */
const LEAST_SHARED_MM = 2;
/** What is left between two shared stretches is drawn only where it can be seen, mm. */
const LEAST_LEFT_MM = 0.3;

/**
 * Lines without the stretches that lie on a line before them: an edge that two shapes share comes once.
 * @param withinMm how near is on it: less than a drawn line is wide
 */
export function drawnOnce(lines: readonly Polyline[], withinMm: number): Polyline[] {
  const drawn = new Drawn(Math.hypot(withinMm, STEP_MM / 2));
  return lines.flatMap((line) => {
    const way = line.closed ? wayRound(line.points) : line.points;
    const lengths = lengthsOf(way);
    const whole = lengths.at(-1) ?? 0;
    if (whole <= 0) return [line];
    const count = Math.max(1, Math.ceil(whole / STEP_MM));
    const places = Array.from({ length: count }, (_, i) => placeOn(way, lengths, ((i + 0.5) * whole) / count));
    const isShared = longStretches(
      places.map(([x, y]) => drawn.has(x, y)),
      (LEAST_SHARED_MM * count) / whole,
    );
    for (const [x, y] of places) drawn.add(x, y);
    if (!isShared.includes(true)) return [line];
    return stretchesOf(isShared, (LEAST_LEFT_MM * count) / whole).map(([from, to]) =>
      cut(way, lengths, (from * whole) / count, (to * whole) / count),
    );
  });
}

/** Only the runs that are long enough stay true. */
function longStretches(flags: readonly boolean[], least: number): boolean[] {
  const kept = [...flags];
  for (let from = 0; from < flags.length;) {
    let to = from;
    while (to < flags.length && flags[to] === flags[from]) to++;
    if (flags[from] && to - from < least) kept.fill(false, from, to);
    from = to;
  }
  return kept;
}

/** From where to where nothing is shared, in steps. */
function stretchesOf(isShared: readonly boolean[], least: number): [from: number, to: number][] {
  const stretches: [number, number][] = [];
  for (let from = 0; from < isShared.length;) {
    let to = from;
    while (to < isShared.length && isShared[to] === isShared[from]) to++;
    if (!isShared[from] && to - from >= least) stretches.push([from, to]);
    from = to;
  }
  return stretches;
}

/** A stretch of a way, with the corners that lie in it. */
function cut(way: Float64Array, lengths: Float64Array, fromMm: number, toMm: number): Polyline {
  const points = [...placeOn(way, lengths, fromMm)];
  lengths.forEach((length, i) => {
    if (length > fromMm && length < toMm) points.push(...placeAt(way, i));
  });
  points.push(...placeOn(way, lengths, toMm));
  return { points: Float64Array.from(points), closed: false };
}

/** Places of lines that were drawn, on a grid. */
class Drawn {
  private readonly cells = new Map<string, number[]>();

  constructor(private readonly nearMm: number) {}

  add(x: number, y: number): void {
    const key = this.keyOf(Math.floor(x / this.nearMm), Math.floor(y / this.nearMm));
    const cell = this.cells.get(key);
    if (cell) cell.push(x, y);
    else this.cells.set(key, [x, y]);
  }

  has(x: number, y: number): boolean {
    const [column, row] = [Math.floor(x / this.nearMm), Math.floor(y / this.nearMm)];
    for (let r = row - 1; r <= row + 1; r++) {
      for (let c = column - 1; c <= column + 1; c++) {
        const cell = this.cells.get(this.keyOf(c, r)) ?? [];
        for (let i = 0; i < cell.length; i += 2) {
          if (Math.hypot(cell[i]! - x, cell[i + 1]! - y) <= this.nearMm) return true;
        }
      }
    }
    return false;
  }

  private keyOf(column: number, row: number): string {
    return `${column} ${row}`;
  }
}
