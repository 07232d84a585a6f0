/** Three running means stand for a Gaussian (Wells 1986). */
const PASSES = 3;

/**
 * Blurs a grid, in place.
 * @param sigma in cells
 */
export function blur(grid: Float32Array, columns: number, rows: number, sigma: number): void {
  if (sigma <= 0) return;
  const half = Math.max(0, Math.round((Math.sqrt((12 * sigma * sigma) / PASSES + 1) - 1) / 2));
  if (half === 0) return;
  const line = new Float32Array(Math.max(columns, rows));
  for (let pass = 0; pass < PASSES; pass++) {
    for (let row = 0; row < rows; row++) runningMean(grid, row * columns, 1, columns, half, line);
    for (let column = 0; column < columns; column++) runningMean(grid, column, columns, rows, half, line);
  }
}

/** The mean of each value and `half` on either side; beyond its ends a line goes on as it ended. */
function runningMean(
  grid: Float32Array,
  from: number,
  step: number,
  count: number,
  half: number,
  line: Float32Array,
): void {
  for (let i = 0; i < count; i++) line[i] = grid[from + i * step]!;
  let sum = 0;
  for (let k = -half; k <= half; k++) sum += line[Math.min(count - 1, Math.max(0, k))]!;
  for (let i = 0; i < count; i++) {
    grid[from + i * step] = sum / (2 * half + 1);
    sum += line[Math.min(count - 1, i + half + 1)]! - line[Math.max(0, i - half)]!;
  }
}
