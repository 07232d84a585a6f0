import { boxOf, isInside, type Region } from '../geometry/index.ts';
import { Move, type StitchPath } from '../stitches/index.ts';

/** Places to the width of a thread at which its runs are counted. */
const PER_WIDTH = 5;

/**
 * Front runs rasterised, each as wide as its thread lies.
 * @returns the share of the region that thread covers, and how many runs lie upon each other at the most, as the mean over
 *   a cell of one laid width: finer than that a thread gives way to its neighbour
 */
export function coverage(
  { codes, xy }: StitchPath,
  region: Region,
  laidMm: number,
): { share: number; mostRuns: number } {
  const { minX, minY, maxX, maxY } = boxOf(region)!;
  const step = laidMm / PER_WIDTH;
  const columns = Math.ceil((maxX - minX) / step / PER_WIDTH) * PER_WIDTH;
  const rows = Math.ceil((maxY - minY) / step / PER_WIDTH) * PER_WIDTH;
  const runs = new Uint8Array(columns * rows);
  const half = laidMm / 2;
  const first = (from: number, least: number): number => Math.max(0, Math.floor((from - half - least) / step));
  const last = (to: number, least: number, count: number): number =>
    Math.min(count - 1, Math.ceil((to + half - least) / step));
  for (let i = 1; i < codes.length; i++) {
    if (codes[i] !== Move.down || codes[i - 1] !== Move.up) continue;
    const [ax, ay, bx, by] = [xy[2 * i - 2]!, xy[2 * i - 1]!, xy[2 * i]!, xy[2 * i + 1]!];
    const length = Math.hypot(bx - ax, by - ay) || 1e-9;
    const [ux, uy] = [(bx - ax) / length, (by - ay) / length];
    for (let row = first(Math.min(ay, by), minY); row <= last(Math.max(ay, by), minY, rows); row++) {
      for (let column = first(Math.min(ax, bx), minX); column <= last(Math.max(ax, bx), minX, columns); column++) {
        const [px, py] = [minX + (column + 0.5) * step - ax, minY + (row + 0.5) * step - ay];
        const along = px * ux + py * uy;
        if (along >= 0 && along <= length && Math.abs(px * uy - py * ux) <= half) runs[row * columns + column]!++;
      }
    }
  }
  let [inside, covered] = [0, 0];
  const cells = new Float64Array((columns / PER_WIDTH) * (rows / PER_WIDTH));
  for (let row = 0; row < rows; row++) {
    for (let column = 0; column < columns; column++) {
      const count = runs[row * columns + column]!;
      const cell = Math.floor(row / PER_WIDTH) * (columns / PER_WIDTH) + Math.floor(column / PER_WIDTH);
      cells[cell]! += count / PER_WIDTH ** 2;
      if (!isInside(region, minX + (column + 0.5) * step, minY + (row + 0.5) * step)) continue;
      inside++;
      if (count > 0) covered++;
    }
  }
  return { share: covered / inside, mostRuns: Math.max(...cells) };
}
