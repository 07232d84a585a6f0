import { boxOf, isInside, type Region, placeAt } from '../geometry/index.ts';
import { Move, type StitchPath } from './moves.ts';

/** Cells to the longer side of a region, at the most, and to the width of a thread. */
const MOST_CELLS = 260;
const CELLS_PER_WIDTH = 4;

/**
 * The share of a region, from 0 to 1, that no thread on top covers: runs are as wide as the thread lies, wound thread is a disc.
 * @param knotMm the diameter of the stitch's knots, 0 where it has none
 */
export function clothShowing({ codes, xy }: StitchPath, laidMm: number, region: Region, knotMm = 0): number {
  const box = boxOf(region);
  if (!box) return 0;
  const size = Math.max(box.maxX - box.minX, box.maxY - box.minY);
  const cell = Math.max(laidMm / CELLS_PER_WIDTH, size / MOST_CELLS);
  const columns = Math.ceil((box.maxX - box.minX) / cell) + 1;
  const rows = Math.ceil((box.maxY - box.minY) / cell) + 1;
  const covered = new Uint8Array(columns * rows);
  /** Covers all cells whose middle lies within `half` of a stretch. */
  const cover = (ax: number, ay: number, bx: number, by: number, half: number): void => {
    const [ex, ey] = [bx - ax, by - ay];
    const length2 = ex * ex + ey * ey || 1e-12;
    const column = (x: number): number => Math.min(columns - 1, Math.max(0, Math.floor((x - box.minX) / cell)));
    const row = (y: number): number => Math.min(rows - 1, Math.max(0, Math.floor((y - box.minY) / cell)));
    for (let r = row(Math.min(ay, by) - half); r <= row(Math.max(ay, by) + half); r++) {
      for (let c = column(Math.min(ax, bx) - half); c <= column(Math.max(ax, bx) + half); c++) {
        const [px, py] = [box.minX + (c + 0.5) * cell - ax, box.minY + (r + 0.5) * cell - ay];
        const t = Math.min(1, Math.max(0, (px * ex + py * ey) / length2));
        if ((px - t * ex) ** 2 + (py - t * ey) ** 2 <= half * half) covered[r * columns + c] = 1;
      }
    }
  };
  let [x, y, isWound] = [0, 0, false];
  for (let i = 0; i < codes.length; i++) {
    const code = codes[i];
    if (code === Move.travel || code === Move.lift) continue;
    if (code === Move.wrap) isWound = true;
    else {
      const [nx, ny] = placeAt(xy, i);
      if (code === Move.down && isWound && knotMm > 0)
        cover((x + nx) / 2, (y + ny) / 2, (x + nx) / 2, (y + ny) / 2, knotMm / 2);
      else if (code !== Move.up) cover(x, y, nx, ny, laidMm / 2);
      if (code !== Move.up) isWound = false;
      [x, y] = [nx, ny];
    }
  }
  let [inside, bare] = [0, 0];
  for (let r = 0; r < rows; r++) {
    for (let c = 0; c < columns; c++) {
      if (!isInside(region, box.minX + (c + 0.5) * cell, box.minY + (r + 0.5) * cell)) continue;
      inside++;
      if (covered[r * columns + c] === 0) bare++;
    }
  }
  return inside === 0 ? 0 : bare / inside;
}
