import { blur2 } from 'd3-array';

/** Three running means stand for a Gaussian (Wells 1986). */
const MEANS = 3;

/**
 * Blurs a grid, in place; beyond its edges it goes on as it ended.
 * @param sigma in cells
 */
export function blur(grid: Float32Array, columns: number, rows: number, sigma: number): void {
  const half = Math.round((Math.sqrt((12 * sigma * sigma) / MEANS + 1) - 1) / 2);
  if (half >= 1) blur2({ data: grid, width: columns, height: rows }, half);
}
