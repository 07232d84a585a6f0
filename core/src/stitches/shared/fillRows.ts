import { cellRows, scanCells, scanFrame, simplifyRegion, type Region, type ScanCell } from '../../geometry/index.ts';
import { cellOrder } from './fillOrder.ts';

/** Wobble of the outline below this is not worth a stitch of its own, mm. */
export const WOBBLE_MM = 0.03;

/** The rows of one cell of a filling in the order of working, `u0, u1, v` for each: from u0 to u1 along the rows, at v across. */
export interface RowBlock {
  readonly rows: Float64Array;
  readonly count: number;
}

/**
 * Covers a region with rows at an angle. A point (u, v) lies on the cloth at (u·ux − v·uy, u·uy + v·ux).
 * @param spacingMm the distance wanted between rows; each cell adjusts it so that its last row lies at its edge
 */
export function fillRows(
  region: Region,
  angleRad: number,
  spacingMm: number,
): { blocks: RowBlock[]; ux: number; uy: number } {
  const frame = scanFrame(angleRad);
  const cells = scanCells(simplifyRegion(region, WOBBLE_MM), frame);
  const worked = new Map<ScanCell, Float64Array>();
  for (const cell of cells) {
    const rows = cellRows(cell, spacingMm, cells.length === 1);
    if (rows.length > 0) worked.set(cell, rows);
  }
  const blocks = cellOrder([...worked.keys()]).map(({ cell, fromTop }) => {
    const rows = worked.get(cell)!;
    return { rows: fromTop ? rows : reversed(rows), count: rows.length / 3 };
  });
  return { blocks, ux: frame.ux, uy: frame.uy };
}

function reversed(rows: Float64Array): Float64Array {
  const out = new Float64Array(rows.length);
  for (let i = 0, j = rows.length - 3; j >= 0; i += 3, j -= 3) {
    out[i] = rows[j]!;
    out[i + 1] = rows[j + 1]!;
    out[i + 2] = rows[j + 2]!;
  }
  return out;
}
