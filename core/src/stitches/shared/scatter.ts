import { boxOf, isInside, type Region } from '../../geometry/index.ts';
import type { Random } from '../../measure/index.ts';

/** Points per area of a full Poisson-disc scatter of distance r: about 0.7 / r² (Lagae and Dutré 2008). */
const FULLNESS = 0.7;
const TRIES = 24;

/**
 * Points scattered evenly but without pattern (Poisson discs; Bridson 2007), in bands across the region, to and fro.
 * @param densityPerCm2 how many to the square centimetre
 */
export function scatterEvenly(region: Region, densityPerCm2: number, random: Random): [x: number, y: number][] {
  const box = boxOf(region);
  if (!box) return [];
  const distance = Math.sqrt((FULLNESS * 100) / densityPerCm2);
  const points = poissonDiscs(box.maxX - box.minX, box.maxY - box.minY, distance, random)
    .map(([x, y]): [number, number] => [box.minX + x, box.minY + y])
    .filter(([x, y]) => isInside(region, x, y));
  const band = ([, y]: [number, number]): number => Math.floor((y - box.minY) / (distance * 1.5));
  return points.sort((a, b) => band(a) - band(b) || (band(a) % 2 === 0 ? a[0] - b[0] : b[0] - a[0]));
}

function poissonDiscs(width: number, height: number, distance: number, random: Random): [number, number][] {
  const cell = distance / Math.SQRT2;
  const columns = Math.ceil(width / cell) + 1;
  const rows = Math.ceil(height / cell) + 1;
  const grid = new Int32Array(columns * rows).fill(-1);
  const xs = new Float64Array(columns * rows);
  const ys = new Float64Array(columns * rows);
  let count = 0;
  const active: number[] = [];
  const add = (x: number, y: number): void => {
    grid[Math.floor(y / cell) * columns + Math.floor(x / cell)] = count;
    [xs[count], ys[count]] = [x, y];
    active.push(count++);
  };
  const isFree = (x: number, y: number): boolean => {
    const column = Math.floor(x / cell);
    const row = Math.floor(y / cell);
    const [left, right] = [Math.max(0, column - 2), Math.min(columns - 1, column + 2)];
    for (let r = Math.max(0, row - 2); r <= Math.min(rows - 1, row + 2); r++) {
      for (let c = left; c <= right; c++) {
        const other = grid[r * columns + c]!;
        if (other < 0) continue;
        const dx = xs[other]! - x;
        const dy = ys[other]! - y;
        if (dx * dx + dy * dy < distance * distance) return false;
      }
    }
    return true;
  };
  add(random.between(0, width), random.between(0, height));
  while (active.length > 0) {
    const pick = Math.floor(random.next() * active.length);
    const [fromX, fromY] = [xs[active[pick]!]!, ys[active[pick]!]!];
    let found = false;
    for (let i = 0; i < TRIES && !found; i++) {
      const angle = random.between(0, 2 * Math.PI);
      const radius = distance * Math.sqrt(random.between(1, 4));
      const [x, y] = [fromX + radius * Math.cos(angle), fromY + radius * Math.sin(angle)];
      found = x >= 0 && y >= 0 && x <= width && y <= height && isFree(x, y);
      if (found) add(x, y);
    }
    if (!found) {
      active[pick] = active.at(-1)!;
      active.pop();
    }
  }
  return Array.from({ length: count }, (_, i) => [xs[i]!, ys[i]!]);
}
