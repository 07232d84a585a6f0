import type { Direction, DirectionField } from './directionField.ts';
import { distanceBeyond, reachInside } from './outline.ts';
import { InsideGrid } from './insideGrid.ts';
import { boxOf, type Box, type Region } from './shapes.ts';
import { simplifyRegion, WOBBLE_MM } from './simplify.ts';

/** Straight spans side by side, `x0, y0, x1, y1` for each: all begin on the same side. */
export type SpanFan = Float64Array;

/** In distances of neighbours. */
const ROOM = {
  /** Where spans would come nearer than this, they stop short in turn. */
  crowded: 0.6,
  /** Cloth within this of a span is covered. */
  covered: 0.55,
  /** Shorter spans are left to their neighbours. */
  shortest: 0.9,
  /** The grid on which covered cloth is marked. */
  cell: 0.4,
} as const;
/** A span ends where the directions have turned away from it by more than this (sine). */
const TURNED_AWAY = Math.sin((50 * Math.PI) / 180);
/** Directions are looked at along a span at least this often, in distances of neighbours. */
const LOOK_EVERY = 2;
/** Spans are cut before the place where they meet, at this share of their distance. */
const MEETS = 0.03;
/** A step to the next span is tried anew while the wider gap is further than this from the distance wanted. */
const EVEN = 0.03;
const MOST_TRIES = 4;
/** A step is never changed by more than this at a time. */
const MOST_CHANGE = 3;
/** The spans on either side of a span that are its neighbours, not others that it runs into. */
const NEIGHBOURS = 12;
/** Where this many spans lie beside a place, no further one goes on through it. */
const MOST_DEEP = 2;
/** Places along a span from which the next can be reached, as shares of its length: the middle, then nearer to the ends. */
const FROM = [0.5, 0.25, 0.75, 0.06, 0.94] as const;
const MOST_CELLS = 4e6;
/** The places to a side of the grid in which the widest is looked for. */
const LOOK_FOR_WIDEST = 20;

/**
 * Covers a region with straight spans from edge to edge that turn with a field. On the outer side of a bend they lie at the
 * spacing; on the inner they come nearer, and where they would come nearer than 0.6 of it every second one stops short, then
 * every second one of those that are left.
 *
 * Spans are laid one beside the other from the widest place on, each from the middle of the last, so the middle line of a
 * strip is found on the way; what a fan can't reach gets a fan of its own.
 * @returns fans in the order in which they were begun; within each the spans lie side by side
 */
export function fieldSpans(region: Region, field: DirectionField, spacingMm: number): SpanFan[] {
  const outline = simplifyRegion(region, WOBBLE_MM);
  const box = boxOf(outline);
  if (!box) return [];
  const layer = new Layer(outline, box, field, spacingMm);
  const fans: SpanFan[] = [];
  for (const [x, y] of layer.barePlaces()) {
    const fan = layer.fanFrom(x, y);
    if (fan) fans.push(fan);
  }
  return fans;
}

/** A straight line through a place on the field, as far as a span could lie on it. */
interface Chord {
  readonly x: number;
  readonly y: number;
  readonly dx: number;
  readonly dy: number;
  /** From here to there along it, mm: `from` ≤ 0 ≤ `to`. */
  readonly from: number;
  readonly to: number;
}

class Layer {
  private readonly cover: Cover;
  private readonly inside: InsideGrid;
  private readonly direction: Direction = { dx: 1, dy: 0 };
  private fans = 0;

  constructor(
    private readonly region: Region,
    private readonly box: Box,
    private readonly field: DirectionField,
    private readonly spacingMm: number,
  ) {
    this.cover = new Cover(box, spacingMm);
    this.inside = new InsideGrid(region, box, Math.max(spacingMm, this.cover.cellMm));
  }

  /** Places that no span covers yet; the widest place of the region first. */
  *barePlaces(): Generator<readonly [x: number, y: number]> {
    const widest = this.widestPlace();
    if (widest) yield widest;
    for (const [x, y] of this.cover.places()) if (this.isInside(x, y)) yield [x, y];
  }

  /** Lays spans to both sides of a place until there is no more room; null where not even one has room. */
  fanFrom(x: number, y: number): SpanFan | null {
    const fan = this.fans++;
    const first = this.chordThrough(x, y, null, fan, 0);
    if (first.to - first.from < ROOM.shortest * this.spacingMm) {
      this.cover.markPlace(x, y);
      return null;
    }
    const start = spanOf(first, first.from, first.to);
    this.cover.mark(start, fan, 0);
    const onward = this.walk(first, 1, fan);
    const back = this.walk(first, -1, fan);
    const spans = new Float64Array(back.length + 4 + onward.length);
    for (let i = 0; i < back.length; i += 4) spans.set(back.slice(back.length - 4 - i, back.length - i), i);
    spans.set(start, back.length);
    spans.set(onward, back.length + 4);
    return spans;
  }

  private isInside(x: number, y: number): boolean {
    return this.inside.has(x, y);
  }

  private widestPlace(): readonly [number, number] | null {
    const { minX, minY, maxX, maxY } = this.box;
    let best: readonly [number, number] | null = null;
    let widest = 0;
    for (let r = 0; r < LOOK_FOR_WIDEST; r++) {
      for (let c = 0; c < LOOK_FOR_WIDEST; c++) {
        const x = minX + ((maxX - minX) * (c + 0.5)) / LOOK_FOR_WIDEST;
        const y = minY + ((maxY - minY) * (r + 0.5)) / LOOK_FOR_WIDEST;
        if (!this.isInside(x, y)) continue;
        const room = distanceBeyond(this.region, x, y, widest);
        if (room > widest) [best, widest] = [[x, y], room];
      }
    }
    return best;
  }

  /** Lays spans beside a first one, all to one side of it. */
  private walk(first: Chord, side: 1 | -1, fan: number): number[] {
    const spans: number[] = [];
    let last = first;
    let step = this.spacingMm;
    const most = MOST_CELLS / 4;
    for (let k = 1; k < most; k++) {
      const found = this.nextTo(last, side, step, fan, side * k);
      if (!found) break;
      const { chord, gaps } = found;
      ({ step } = found);
      const span = this.stoppedShort(chord, gaps, k);
      if (span) {
        this.cover.mark(span, fan, side * k);
        spans.push(...span);
      }
      last = chord;
    }
    return spans;
  }

  /** The chord beside the last whose wider gap to it is the spacing, and its gaps at both ends. */
  private nextTo(
    last: Chord,
    side: 1 | -1,
    firstStep: number,
    fan: number,
    index: number,
  ): { chord: Chord; gaps: readonly [number, number]; step: number } | null {
    const { spacingMm } = this;
    for (const share of FROM) {
      const at = last.from + share * (last.to - last.from);
      const [mx, my] = [last.x + at * last.dx, last.y + at * last.dy];
      let step = firstStep;
      for (let turn = 1; ; turn++) {
        const [x, y] = [mx - side * step * last.dy, my + side * step * last.dx];
        if (!this.isInside(x, y) || this.cover.isTaken(x, y, fan, index)) {
          // Perhaps a smaller step than the first guess has room.
          if (turn === 1 && step > spacingMm) {
            step = spacingMm;
            continue;
          }
          break;
        }
        const chord = this.chordThrough(x, y, last, fan, index);
        if (chord.to - chord.from < ROOM.shortest * spacingMm * 0.5) break;
        const gaps = [gapAt(last, chord, chord.from, side), gapAt(last, chord, chord.to, side)] as const;
        const wider = Math.max(gaps[0], gaps[1]);
        if (turn >= MOST_TRIES || Math.abs(wider / spacingMm - 1) < EVEN) return { chord, gaps, step };
        step *= Math.min(MOST_CHANGE, Math.max(1 / MOST_CHANGE, spacingMm / Math.max(1e-6, wider)));
      }
    }
    return null;
  }

  /** The line through a place in the direction there, on the side of the last one's, as far as it has room. */
  private chordThrough(x: number, y: number, last: Chord | null, fan: number, index: number): Chord {
    const { direction } = this;
    this.field.directionAt(x, y, direction);
    let { dx, dy } = direction;
    if (last && dx * last.dx + dy * last.dy < 0) [dx, dy] = [-dx, -dy];
    const rate = this.spreadAt(x, y, dx, dy);
    // Neighbours meet where their distance, which changes evenly along them, is nothing.
    const meetMm = Math.abs(rate) > 1e-6 ? (1 - MEETS) / Math.abs(rate) : Infinity;
    const ahead = Math.min(reachInside(this.region, x, y, dx, dy), rate < 0 ? meetMm : Infinity);
    const behind = Math.min(reachInside(this.region, x, y, -dx, -dy), rate > 0 ? meetMm : Infinity);
    return {
      x,
      y,
      dx,
      dy,
      to: this.room(x, y, dx, dy, ahead, fan, index),
      from: -this.room(x, y, -dx, -dy, behind, fan, index),
    };
  }

  /** By how much the distance of neighbours grows for each mm along a line, as a share of it. */
  private spreadAt(x: number, y: number, dx: number, dy: number): number {
    const beside = this.spacingMm / 2;
    const turnAt = (way: number): number => {
      this.field.directionAt(x - way * beside * dy, y + way * beside * dx, this.direction);
      const { dx: ax, dy: ay } = this.direction;
      const across = dx * ay - dy * ax;
      return ax * dx + ay * dy < 0 ? -across : across;
    };
    return (turnAt(1) - turnAt(-1)) / (2 * beside);
  }

  /** How far a span can go on from a place before other spans lie there, or the directions turn away from it. */
  private room(x: number, y: number, dx: number, dy: number, most: number, fan: number, index: number): number {
    const look = Math.max(LOOK_EVERY * this.spacingMm, most / 16);
    for (let at = look; at < most; at += look) {
      this.field.directionAt(x + at * dx, y + at * dy, this.direction);
      if (Math.abs(dx * this.direction.dy - dy * this.direction.dx) > TURNED_AWAY) {
        most = at - look / 2;
        break;
      }
    }
    const step = this.cover.cellMm;
    for (let at = step; at < most; at += step) {
      if (this.cover.isTaken(x + at * dx, y + at * dy, fan, index)) return at;
    }
    return most;
  }

  /** A span as far as its neighbours leave it room: every second one stops where they crowd, every fourth goes further, and so on. */
  private stoppedShort(chord: Chord, [fromGap, toGap]: readonly [number, number], k: number): Float64Array | null {
    const rank = k & -k;
    const least = (ROOM.crowded * this.spacingMm) / rank;
    let { from, to } = chord;
    const perMm = (toGap - fromGap) / (to - from);
    if (fromGap < least && toGap > least) from += (least - fromGap) / perMm;
    else if (toGap < least && fromGap > least) to = from + (least - fromGap) / perMm;
    return to - from < ROOM.shortest * this.spacingMm ? null : spanOf(chord, from, to);
  }
}

/** How far a place on a chord lies beside another chord, on a side. */
function gapAt(last: Chord, chord: Chord, at: number, side: 1 | -1): number {
  const [px, py] = [chord.x + at * chord.dx - last.x, chord.y + at * chord.dy - last.y];
  return side * (last.dx * py - last.dy * px);
}

function spanOf({ x, y, dx, dy }: Chord, from: number, to: number): Float64Array {
  return Float64Array.of(x + from * dx, y + from * dy, x + to * dx, y + to * dy);
}

/** Which cloth lies under a span, cell by cell, and under which of which fan. */
class Cover {
  readonly cellMm: number;
  private readonly columns: number;
  private readonly rows: number;
  private readonly x0: number;
  private readonly y0: number;
  private readonly reachMm: number;
  /** The fan of the first span that came here, counted from 1, and the span's place in it. */
  private readonly fans: Int32Array;
  private readonly indices: Int32Array;
  /** How many spans lie here. */
  private readonly counts: Uint8Array;

  constructor({ minX, minY, maxX, maxY }: Box, spacingMm: number) {
    const [width, height] = [maxX - minX, maxY - minY];
    this.cellMm = Math.max(ROOM.cell * spacingMm, Math.sqrt((width * height) / MOST_CELLS));
    this.reachMm = ROOM.covered * spacingMm;
    this.x0 = minX - this.cellMm;
    this.y0 = minY - this.cellMm;
    this.columns = Math.ceil(width / this.cellMm) + 2;
    this.rows = Math.ceil(height / this.cellMm) + 2;
    this.fans = new Int32Array(this.columns * this.rows);
    this.indices = new Int32Array(this.columns * this.rows);
    this.counts = new Uint8Array(this.columns * this.rows);
  }

  *places(): Generator<readonly [x: number, y: number]> {
    for (let row = 0; row < this.rows; row++) {
      for (let column = 0; column < this.columns; column++) {
        if (this.fans[row * this.columns + column] !== 0) continue;
        yield [this.x0 + (column + 0.5) * this.cellMm, this.y0 + (row + 0.5) * this.cellMm];
      }
    }
  }

  /** Whether there is no room: a span lies here that is not a near neighbour of the one asked for, or several of any kind. */
  isTaken(x: number, y: number, fan: number, index: number): boolean {
    const at = this.cellAt(x, y);
    if (at < 0) return false;
    const there = this.fans[at]!;
    if (there === 0) return false;
    return this.counts[at]! >= MOST_DEEP || there !== fan + 1 || Math.abs(this.indices[at]! - index) > NEIGHBOURS;
  }

  /** Leaves a place out of those that are looked at. */
  markPlace(x: number, y: number): void {
    this.fans[this.cellAt(x, y)] ||= -1;
  }

  /** The cell at a place; -1 where it lies beyond the grid. */
  private cellAt(x: number, y: number): number {
    const column = Math.floor((x - this.x0) / this.cellMm);
    const row = Math.floor((y - this.y0) / this.cellMm);
    return column < 0 || row < 0 || column >= this.columns || row >= this.rows ? -1 : row * this.columns + column;
  }

  /** Marks all cells whose middle is covered by a span. */
  mark(span: Float64Array, fan: number, index: number): void {
    const { cellMm, reachMm, columns, fans, indices, counts } = this;
    const [ax, ay] = [(span[0]! - this.x0) / cellMm - 0.5, (span[1]! - this.y0) / cellMm - 0.5];
    const [bx, by] = [(span[2]! - this.x0) / cellMm - 0.5, (span[3]! - this.y0) / cellMm - 0.5];
    const [ex, ey] = [bx - ax, by - ay];
    const length = Math.sqrt(ex * ex + ey * ey) || 1e-9;
    const reach = reachMm / cellMm;
    const first = Math.max(0, Math.ceil(Math.min(ay, by) - reach));
    const last = Math.min(this.rows - 1, Math.floor(Math.max(ay, by) + reach));
    for (let row = first; row <= last; row++) {
      // The stretch of this row within reach of the line, cut to the span's own stretch.
      let [left, right] = [Math.min(ax, bx) - reach, Math.max(ax, bx) + reach];
      if (Math.abs(ey) > 1e-9) {
        const middle = ax + ((row - ay) * ex) / ey;
        const half = Math.abs((reach * length) / ey);
        left = Math.max(left, middle - half);
        right = Math.min(right, middle + half);
      } else if (Math.abs(row - ay) > reach) continue;
      for (let column = Math.max(0, Math.ceil(left)); column <= Math.min(columns - 1, right); column++) {
        const at = row * columns + column;
        if (counts[at]! < MOST_DEEP) counts[at]!++;
        if (fans[at]! > 0) continue;
        fans[at] = fan + 1;
        indices[at] = index;
      }
    }
  }
}
