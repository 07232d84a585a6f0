import type { Region } from '../../geometry/index.ts';
import type { MoveSink } from '../moves.ts';
import { fillRows } from './fillRows.ts';

/** One stitch of a row: its band and where it begins and ends along the row. */
export interface BandStitch {
  readonly band: number;
  readonly from: number;
  readonly to: number;
}

/** Divides the row `row` of a filling, from u0 to u1, into stitches. */
export type DivideRow = (u0: number, u1: number, row: number) => readonly BandStitch[];

/**
 * Works a filling band by band: all stitches of the first band across the rows, to and fro, then the next. Each stitch goes
 * the same way, and the thread comes back underneath.
 */
export function workBands(
  region: Region,
  angleRad: number,
  spacingMm: number,
  divide: DivideRow,
  sink: MoveSink,
): void {
  const { blocks, ux, uy } = fillRows(region, angleRad, spacingMm);
  for (const { rows, count } of blocks) {
    const bands = new Map<number, { v: number; stitch: BandStitch }[]>();
    for (let k = 0; k < count; k++) {
      const v = rows[3 * k + 2]!;
      for (const stitch of divide(rows[3 * k]!, rows[3 * k + 1]!, Math.round(v / spacingMm))) {
        const band = bands.get(stitch.band) ?? [];
        bands.set(stitch.band, band);
        band.push({ v, stitch });
      }
    }
    let isBack = false;
    for (const number of [...bands.keys()].sort((a, b) => a - b)) {
      const band = bands.get(number)!;
      sink.travel();
      for (const { v, stitch } of isBack ? band.reverse() : band) {
        sink.stitch();
        sink.up(stitch.from * ux - v * uy, stitch.from * uy + v * ux);
        sink.down(stitch.to * ux - v * uy, stitch.to * uy + v * ux);
      }
      isBack = !isBack;
    }
  }
}
