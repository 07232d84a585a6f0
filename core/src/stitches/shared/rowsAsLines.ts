import type { Polyline, Region } from '../../geometry/index.ts';
import type { StitchShape } from '../kind.ts';
import { fillRows } from './fillRows.ts';

const NO_SPOTS = new Float64Array(0);

/** A region as rows to be worked in a line stitch, to and fro along a direction. */
export function rowsAsLines(region: Region, angleRad: number, spacingMm: number): StitchShape {
  const { blocks, ux, uy } = fillRows(region, angleRad, spacingMm);
  const lines: Polyline[] = [];
  for (const { rows, count } of blocks) {
    for (let k = 0; k < count; k++) {
      const [left, right, v] = [rows[3 * k]!, rows[3 * k + 1]!, rows[3 * k + 2]!];
      const [from, to] = k % 2 === 0 ? [left, right] : [right, left];
      const points = Float64Array.of(from * ux - v * uy, from * uy + v * ux, to * ux - v * uy, to * uy + v * ux);
      lines.push({ points, closed: false });
    }
  }
  return { region: [], lines, spots: NO_SPOTS };
}
