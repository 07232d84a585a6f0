import { isInside, type Box, type Region } from './shapes.ts';

const OUTSIDE = 0;
const CUT = 1;
const INSIDE = 2;

/** Tells at once whether a place lies in a region: a grid knows which cells lie wholly inside or outside. */
export class InsideGrid {
  private readonly columns: number;
  private readonly rows: number;
  private readonly x0: number;
  private readonly y0: number;
  private readonly cells: Uint8Array;

  constructor(
    private readonly region: Region,
    { minX, minY, maxX, maxY }: Box,
    private readonly cellMm: number,
  ) {
    this.x0 = minX - cellMm;
    this.y0 = minY - cellMm;
    this.columns = Math.ceil((maxX - minX) / cellMm) + 3;
    this.rows = Math.ceil((maxY - minY) / cellMm) + 3;
    this.cells = new Uint8Array(this.columns * this.rows);
    this.cutByOutline();
    this.fill();
  }

  has(x: number, y: number): boolean {
    const known = this.cells[this.cellAt(x, y)];
    return known === INSIDE || (known === CUT && isInside(this.region, x, y));
  }

  /** How far one can go from a place within the region: `mostMm`, or the half of it as often as need be, at least `leastMm`. */
  reach(x: number, y: number, dx: number, dy: number, mostMm: number, leastMm: number): number {
    let mm = mostMm;
    while (mm > leastMm && !this.has(x + mm * dx, y + mm * dy)) mm /= 2;
    return mm;
  }

  private cellAt(x: number, y: number): number {
    const c = Math.floor((x - this.x0) / this.cellMm);
    const r = Math.floor((y - this.y0) / this.cellMm);
    if (c < 0 || r < 0 || c >= this.columns || r >= this.rows) return 0;
    return r * this.columns + c;
  }

  private cutByOutline(): void {
    const { cells, cellMm, columns } = this;
    for (const ring of this.region) {
      for (let i = 0; i < ring.length; i += 2) {
        const j = (i + 2) % ring.length;
        const [ex, ey] = [ring[j]! - ring[i]!, ring[j + 1]! - ring[i + 1]!];
        const pieces = Math.ceil(Math.sqrt(ex * ex + ey * ey) / (cellMm / 2)) + 1;
        for (let k = 0; k <= pieces; k++) {
          const at = this.cellAt(ring[i]! + (ex * k) / pieces, ring[i + 1]! + (ey * k) / pieces);
          cells[at] = CUT;
          cells[at - 1] = CUT;
          cells[at + 1] = CUT;
          cells[at - columns] = CUT;
          cells[at + columns] = CUT;
        }
      }
    }
  }

  private fill(): void {
    const { cells, cellMm, columns } = this;
    for (let r = 0; r < this.rows; r++) {
      let known: number | null = OUTSIDE;
      for (let c = 0; c < columns; c++) {
        const at = r * columns + c;
        if (cells[at] === CUT) known = null;
        else {
          known ??= isInside(this.region, this.x0 + (c + 0.5) * cellMm, this.y0 + (r + 0.5) * cellMm)
            ? INSIDE
            : OUTSIDE;
          cells[at] = known;
        }
      }
    }
  }
}
