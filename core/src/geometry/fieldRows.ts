import type { Direction, DirectionField } from './directionField.ts';
import { distanceBeyond, reachInside } from './outline.ts';
import { InsideGrid } from './insideGrid.ts';
import { boxOf, type Box, type Polyline, type Region } from './shapes.ts';
import { simplifyRegion, WOBBLE_MM } from './simplify.ts';

/**
 * Rows end where they crowd (nearer than `crowded` to another), and a new one begins wherever the cloth would show (further
 * than `open` from every other). Straight spans cannot make way for each other and may come a little closer. In distances of
 * neighbours.
 */
const ROOM = { crowded: 0.53, crowdedSpans: 0.4, beside: 0.72, open: 0.55 } as const;
/** Rows are traced in steps of this share of their distance. */
const STEP = 0.5;
/** Beside every second place of a row a neighbour is looked for. */
const BESIDE_EVERY = 2;
/** Only a row that has turned by this much can come back to its own beginning, radians. */
const COMES_ROUND_RAD = 4;
/** Rows shorter than this are left to their neighbours, in distances of neighbours. */
const SHORTEST = 0.9;

export interface FieldRowOptions {
  /** Each row is one straight line in the direction of its first place, as satin is. */
  readonly straight?: boolean;
  /** A row ends where it comes nearer than this to another, in distances of neighbours. */
  readonly crowded?: number;
}

/**
 * Covers a region with rows that follow a field, evenly spaced (Jobard and Lefer 1997). Where rows converge every other
 * one ends; where they spread, new ones begin. All run the same way as their neighbours.
 * @returns open polylines in no particular order
 */
export function fieldRows(
  region: Region,
  field: DirectionField,
  spacingMm: number,
  options: FieldRowOptions = {},
): Polyline[] {
  const outline = simplifyRegion(region, WOBBLE_MM);
  const box = boxOf(outline);
  if (!box) return [];
  const straight = options.straight ?? false;
  const crowded = options.crowded ?? (straight ? ROOM.crowdedSpans : ROOM.crowded);
  const tracer = new Tracer(outline, box, field, spacingMm, straight, crowded);
  const queue: Float64Array[] = [];
  const take = (x: number, y: number, room: number): void => {
    if (!tracer.isFree(x, y, room * spacingMm)) return;
    const row = tracer.trace(x, y);
    if (row) queue.push(row);
  };
  for (const [x, y] of tracer.openPlaces()) {
    take(x, y, ROOM.open);
    for (let row = queue.shift(); row; row = queue.shift()) {
      for (let i = 0; i + 3 < row.length; i += 2 * BESIDE_EVERY) {
        const dx = row[i + 2]! - row[i]!;
        const dy = row[i + 3]! - row[i + 1]!;
        const share = spacingMm / (Math.sqrt(dx * dx + dy * dy) || 1);
        for (let side = 1; side >= -1; side -= 2) {
          const sx = row[i]! - side * share * dy;
          const sy = row[i + 1]! + side * share * dx;
          if (tracer.isInside(sx, sy)) take(sx, sy, ROOM.beside);
        }
      }
    }
  }
  return tracer.rows.map((points) => ({ points, closed: false }));
}

class Tracer {
  readonly rows: Float64Array[] = [];
  private readonly cellMm: number;
  private readonly columns: number;
  private readonly rowsOfCells: number;
  private readonly x0: number;
  private readonly y0: number;
  private readonly kept: KeptPlaces;
  private readonly inside: InsideGrid;
  /** By cell: which walk came through it last, and where in it. */
  private readonly wayOf: Int32Array;
  private readonly wayAt: Int32Array;
  private ways = 0;
  private readonly direction: Direction = { dx: 1, dy: 0 };

  constructor(
    private readonly region: Region,
    box: Box,
    private readonly field: DirectionField,
    private readonly spacingMm: number,
    private readonly straight: boolean,
    private readonly crowded: number,
  ) {
    const [width, height] = [box.maxX - box.minX, box.maxY - box.minY];
    this.cellMm = Math.max(spacingMm, Math.sqrt((width * height) / 4e6));
    this.x0 = box.minX - this.cellMm;
    this.y0 = box.minY - this.cellMm;
    this.columns = Math.ceil(width / this.cellMm) + 3;
    this.rowsOfCells = Math.ceil(height / this.cellMm) + 3;
    this.kept = new KeptPlaces(this.columns, this.rowsOfCells, (ROOM.open * spacingMm) / this.cellMm);
    this.inside = new InsideGrid(region, box, this.cellMm);
    this.wayOf = new Int32Array(this.columns * this.rowsOfCells);
    this.wayAt = new Int32Array(this.columns * this.rowsOfCells);
  }

  /** Places over the region, close enough together that no open patch is missed; the widest place comes first. */
  *openPlaces(): Generator<[x: number, y: number]> {
    const step = this.cellMm / 2;
    let best: [number, number] | null = null;
    let widest = 0;
    const coarse = Math.max(step, Math.sqrt(this.columns * this.rowsOfCells) * this.cellMm * 0.05);
    for (let y = this.y0; y < this.y0 + this.rowsOfCells * this.cellMm; y += coarse) {
      for (let x = this.x0; x < this.x0 + this.columns * this.cellMm; x += coarse) {
        if (!this.isInside(x, y)) continue;
        const room = distanceBeyond(this.region, x, y, widest);
        if (room > widest) [best, widest] = [[x, y], room];
      }
    }
    if (best) yield best;
    for (let r = 0; r < this.rowsOfCells * 2; r++) {
      for (let c = 0; c < this.columns * 2; c++) {
        if (this.kept.isTaken(c, r)) continue;
        const [x, y] = [this.x0 + (c + 0.5) * step, this.y0 + (r + 0.5) * step];
        if (this.isInside(x, y)) yield [x, y];
      }
    }
  }

  isInside(x: number, y: number): boolean {
    return this.inside.has(x, y);
  }

  /** Whether no row comes nearer than a distance, which is no more than a cell. */
  isFree(x: number, y: number, distanceMm: number): boolean {
    const { cellMm } = this;
    return this.kept.isFree((x - this.x0) / cellMm, (y - this.y0) / cellMm, distanceMm / cellMm);
  }

  /** Traces a row through a place, both ways, and keeps it; null where it would be too short. */
  trace(x: number, y: number): Float64Array | null {
    const { dx, dy } = this.alongAt(x, y, 0, 0);
    const back = this.walk(x, y, -dx, -dy);
    const on = this.walk(x, y, dx, dy);
    const row = new Float64Array(back.length + 2 + on.length);
    for (let i = 0; i < back.length; i += 2) {
      row[i] = back[back.length - 2 - i]!;
      row[i + 1] = back[back.length - 1 - i]!;
    }
    row[back.length] = x;
    row[back.length + 1] = y;
    row.set(on, back.length + 2);
    const length = Math.hypot(row.at(-2)! - row[0]!, row.at(-1)! - row[1]!);
    this.keep(row);
    if (length < SHORTEST * this.spacingMm) return null;
    this.rows.push(row);
    return row;
  }

  private walk(x: number, y: number, dx: number, dy: number): number[] {
    const step = STEP * this.spacingMm;
    const most = (4 * (this.columns + this.rowsOfCells) * this.cellMm) / step;
    const points: number[] = [];
    let turned = 0;
    this.ways++;
    for (let i = 0; i < most; i++) {
      // A midpoint step keeps to curved fields.
      if (!this.straight) {
        const [beforeX, beforeY] = [dx, dy];
        ({ dx, dy } = this.alongAt(x, y, dx, dy));
        ({ dx, dy } = this.alongAt(x + (dx * step) / 2, y + (dy * step) / 2, dx, dy));
        turned += Math.abs(beforeX * dy - beforeY * dx);
      }
      const [nx, ny] = [x + step * dx, y + step * dy];
      if (!this.isInside(nx, ny)) {
        const share = reachInside(this.region, x, y, dx, dy) / step;
        if (share > 0.05) points.push(x + share * step * dx, y + share * step * dy);
        break;
      }
      if (!this.isFree(nx, ny, this.crowded * this.spacingMm)) break;
      if (turned > COMES_ROUND_RAD && this.meetsItself(points, nx, ny)) break;
      this.passThrough(nx, ny, points.length);
      points.push(nx, ny);
      [x, y] = [nx, ny];
    }
    return points;
  }

  /** A row that follows a ring ends before it lies on its own beginning. */
  private meetsItself(points: readonly number[], x: number, y: number): boolean {
    const near = ROOM.beside * this.spacingMm;
    const c = Math.floor((x - this.x0) / this.cellMm);
    const r = Math.floor((y - this.y0) / this.cellMm);
    for (let row = Math.max(0, r - 1); row <= Math.min(this.rowsOfCells - 1, r + 1); row++) {
      for (let column = Math.max(0, c - 1); column <= Math.min(this.columns - 1, c + 1); column++) {
        const at = row * this.columns + column;
        if (this.wayOf[at] !== this.ways) continue;
        const i = this.wayAt[at]!;
        if (i < points.length - 12 && Math.hypot(points[i]! - x, points[i + 1]! - y) < near) return true;
      }
    }
    return false;
  }

  /** Notes where in the row that is under way each cell was first entered. */
  private passThrough(x: number, y: number, i: number): void {
    const c = Math.floor((x - this.x0) / this.cellMm);
    const r = Math.floor((y - this.y0) / this.cellMm);
    const at = r * this.columns + c;
    if (this.wayOf[at] === this.ways) return;
    this.wayOf[at] = this.ways;
    this.wayAt[at] = i;
  }

  /** The direction at a place, the way round that goes on in a direction; good until it is asked again. */
  private alongAt(x: number, y: number, dx: number, dy: number): Direction {
    const { direction } = this;
    this.field.directionAt(x, y, direction);
    if (direction.dx * dx + direction.dy * dy < 0) {
      direction.dx = -direction.dx;
      direction.dy = -direction.dy;
    }
    return direction;
  }

  /** Rows are remembered at places close enough together that nothing slips between them. */
  private keep(row: Float64Array): void {
    for (let i = 0; i < row.length; i += 2) {
      this.kept.add((row[i]! - this.x0) / this.cellMm, (row[i + 1]! - this.y0) / this.cellMm);
    }
  }
}

/**
 * Places on a grid of cells, in cells from its corner. Those of a cell are a chain through `next`, as arrays for each would be
 * slow; quarters of cells whose middle has a place near it are marked, as they are asked for one and all.
 */
class KeptPlaces {
  private readonly first: Int32Array;
  private readonly taken: Uint8Array;
  private next = new Int32Array(1024);
  private us = new Float64Array(1024);
  private vs = new Float64Array(1024);
  private count = 0;

  /** @param near a quarter is taken where a place lies nearer to its middle */
  constructor(
    private readonly columns: number,
    private readonly rows: number,
    private readonly near: number,
  ) {
    this.first = new Int32Array(columns * rows).fill(-1);
    this.taken = new Uint8Array(4 * columns * rows);
  }

  add(u: number, v: number): void {
    if (this.count === this.next.length) this.grow();
    const cell = this.cellAt(u, v);
    this.us[this.count] = u;
    this.vs[this.count] = v;
    this.next[this.count] = this.first[cell]!;
    this.first[cell] = this.count++;
    this.take(u, v);
  }

  /** Whether a place lies near the middle of a quarter of a cell. */
  isTaken(column: number, row: number): boolean {
    return this.taken[row * 2 * this.columns + column] === 1;
  }

  private take(u: number, v: number): void {
    const { near, taken } = this;
    const columns = 2 * this.columns;
    const limit = near * near;
    const right = Math.min(columns - 1, Math.floor(2 * (u + near) - 0.5));
    const bottom = Math.min(2 * this.rows - 1, Math.floor(2 * (v + near) - 0.5));
    const left = Math.max(0, Math.ceil(2 * (u - near) - 0.5));
    for (let row = Math.max(0, Math.ceil(2 * (v - near) - 0.5)); row <= bottom; row++) {
      const dv = (row + 0.5) / 2 - v;
      for (let column = left; column <= right; column++) {
        const du = (column + 0.5) / 2 - u;
        if (du * du + dv * dv < limit) taken[row * columns + column] = 1;
      }
    }
  }

  /** Whether none lies nearer than a distance, in cells. */
  isFree(u: number, v: number, distance: number): boolean {
    const { first, next, us, vs, columns } = this;
    const limit = distance * distance;
    const left = Math.max(0, Math.floor(u - distance));
    const right = Math.min(columns - 1, Math.floor(u + distance));
    const bottom = Math.min(this.rows - 1, Math.floor(v + distance));
    for (let row = Math.max(0, Math.floor(v - distance)); row <= bottom; row++) {
      for (let cell = row * columns + left; cell <= row * columns + right; cell++) {
        for (let k = first[cell]!; k >= 0; k = next[k]!) {
          const du = us[k]! - u;
          const dv = vs[k]! - v;
          if (du * du + dv * dv < limit) return false;
        }
      }
    }
    return true;
  }

  private cellAt(u: number, v: number): number {
    const column = Math.min(this.columns - 1, Math.max(0, Math.floor(u)));
    const row = Math.min(this.rows - 1, Math.max(0, Math.floor(v)));
    return row * this.columns + column;
  }

  private grow(): void {
    const wider = <T extends Int32Array | Float64Array>(old: T, to: T): T => {
      to.set(old);
      return to;
    };
    const size = 2 * this.count;
    this.next = wider(this.next, new Int32Array(size));
    this.us = wider(this.us, new Float64Array(size));
    this.vs = wider(this.vs, new Float64Array(size));
  }
}
