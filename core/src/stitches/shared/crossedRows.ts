import { valueOf } from '../../measure/index.ts';
import type { Region } from '../../geometry/index.ts';
import { fillRows } from './fillRows.ts';

/** A straight row in the frame of its direction: from `from` to `to` along it, at `at` across it, mm. */
export interface StraightRow {
  readonly from: number;
  readonly to: number;
  readonly at: number;
}

/** Rows at an angle, in the order of working. A point (along, across) lies on the cloth at `toCloth(along, across)`. */
export interface StraightRows {
  readonly rows: readonly StraightRow[];
  toCloth(along: number, across: number): [x: number, y: number];
}

export function straightRowsOf(region: Region, angleRad: number, spacingMm: number): StraightRows {
  const { blocks, ux, uy } = fillRows(region, angleRad, spacingMm);
  const rows = blocks.flatMap(({ rows: flat, count }) =>
    Array.from({ length: count }, (_, k) => ({ from: flat[3 * k]!, to: flat[3 * k + 1]!, at: flat[3 * k + 2]! })),
  );
  return { rows, toCloth: (along, across) => [along * ux - across * uy, along * uy + across * ux] };
}

/** What rows cross a row that runs at right angles to them, from its one end to the other. */
export class CrossedRows {
  private readonly sorted: readonly StraightRow[];
  /** How many rows lie before each, of those at another place across: neighbours differ by one. */
  private readonly ranks: ReadonlyMap<StraightRow, number>;

  constructor(rows: readonly StraightRow[]) {
    this.sorted = [...rows].sort((a, b) => a.at - b.at);
    const ranks = new Map<StraightRow, number>();
    let [rank, last] = [-1, -Infinity];
    for (const row of this.sorted) {
      if (row.at > last + 1e-6) rank++;
      last = row.at;
      ranks.set(row, rank);
    }
    this.ranks = ranks;
  }

  /**
   * @param along where the crossing row lies along these rows
   * @param from and `to` between where it reaches across them
   */
  between(along: number, from: number, to: number): { at: number; rank: number }[] {
    const [low, high] = [Math.min(from, to), Math.max(from, to)];
    const met = this.sorted
      .filter((row) => row.at > low && row.at < high && row.from < along && row.to > along)
      .map((row) => ({ at: row.at, rank: valueOf(this.ranks, row) }));
    return from > to ? met.reverse() : met;
  }
}
