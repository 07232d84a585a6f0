import { boxOf, inscribedCircle, isInside, type Region } from '../geometry/index.ts';

/** How high a stuffed shape stands, on a grid of square cells from a corner, mm. */
export interface Heights {
  readonly x0: number;
  readonly y0: number;
  readonly cellMm: number;
  readonly columns: number;
  readonly rows: number;
  readonly mm: Float32Array;
}

/** The thickest place of a stuffed shape, of the widest circle in it. */
const THICKEST = 0.45;
/** Cells along the longer side. */
const CELLS = 80;
const MOST_ROUNDS = 600;
/** Over-relaxation: a little less than 2 settles fields of this size in the fewest rounds. */
const RELAXED = 1.92;
const SETTLED = 1e-6;

/**
 * The height of a stuffed shape: two cloths sewn together along an outline bulge as a skin under pressure does (∇²u = −1, nought at the
 * outline), with a round shoulder: the height is √u, scaled to 0.45 of the widest circle's diameter. Over a disc that is an ellipsoid.
 */
export function puffedHeights(form: Region): Heights | null {
  const box = boxOf(form);
  const widest = box && inscribedCircle(form);
  if (!box || !widest) return null;
  const [width, height] = [box.maxX - box.minX, box.maxY - box.minY];
  const cellMm = Math.max(width, height) / CELLS;
  const [columns, rows] = [Math.ceil(width / cellMm) + 2, Math.ceil(height / cellMm) + 2];
  const [x0, y0] = [box.minX - cellMm, box.minY - cellMm];
  const inside = new Uint8Array(columns * rows);
  for (let r = 0; r < rows; r++) {
    for (let c = 0; c < columns; c++) {
      if (isInside(form, x0 + (c + 0.5) * cellMm, y0 + (r + 0.5) * cellMm)) inside[r * columns + c] = 1;
    }
  }
  const u = new Float64Array(columns * rows);
  for (let round = 0; round < MOST_ROUNDS; round++) {
    let change = 0;
    let most = 0;
    for (let i = columns; i < u.length - columns; i++) {
      if (!inside[i]) continue;
      const step = (RELAXED * (u[i - 1]! + u[i + 1]! + u[i - columns]! + u[i + columns]! + 1)) / 4 - RELAXED * u[i]!;
      u[i] = Math.max(0, u[i]! + step);
      change = Math.max(change, Math.abs(step));
      most = Math.max(most, u[i]!);
    }
    if (change < SETTLED * most) break;
  }
  const most = u.reduce((a, b) => Math.max(a, b), 0);
  const thickest = THICKEST * 2 * widest.r;
  const mm = Float32Array.from(u, (value) => (most > 0 ? thickest * Math.sqrt(value / most) : 0));
  return { x0, y0, cellMm, columns, rows, mm };
}

/** What a stuffed shape holds, mm³. */
export function puffedVolumeMm3({ mm, cellMm }: Heights): number {
  return mm.reduce((sum, height) => sum + height, 0) * cellMm * cellMm;
}
