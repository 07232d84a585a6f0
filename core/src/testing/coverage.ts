import { isInside, type Region } from '../geometry/index.ts';
import { Move, type StitchPath } from '../stitches/index.ts';

/** Front runs rasterised: the shares of cells inside the region that thread covers, and covers more than thrice. */
export function coverage(
  { codes, xy }: StitchPath,
  region: Region,
  laidMm: number,
): { share: number; overThrice: number } {
  const cell = 0.12;
  const hits = new Map<string, number>();
  for (let i = 1; i < codes.length; i++) {
    if (codes[i] !== Move.down || codes[i - 1] !== Move.up) continue;
    const [ax, ay, bx, by] = [xy[2 * i - 2]!, xy[2 * i - 1]!, xy[2 * i]!, xy[2 * i + 1]!];
    const length = Math.hypot(bx - ax, by - ay) || 1e-9;
    const half = laidMm / 2;
    for (let cx = Math.floor((Math.min(ax, bx) - half) / cell); cx * cell <= Math.max(ax, bx) + half; cx++) {
      for (let cy = Math.floor((Math.min(ay, by) - half) / cell); cy * cell <= Math.max(ay, by) + half; cy++) {
        const [px, py] = [(cx + 0.5) * cell - ax, (cy + 0.5) * cell - ay];
        const along = (px * (bx - ax) + py * (by - ay)) / length;
        const across = Math.abs(px * (by - ay) - py * (bx - ax)) / length;
        if (along >= 0 && along <= length && across <= half)
          hits.set(`${cx},${cy}`, (hits.get(`${cx},${cy}`) ?? 0) + 1);
      }
    }
  }
  let [inside, covered, often] = [0, 0, 0];
  const reach = Math.max(...region.flatMap((ring) => [...ring].map(Math.abs)));
  for (let cx = -Math.ceil(reach / cell); cx * cell < reach; cx++) {
    for (let cy = -Math.ceil(reach / cell); cy * cell < reach; cy++) {
      if (!isInside(region, (cx + 0.5) * cell, (cy + 0.5) * cell)) continue;
      inside++;
      const count = hits.get(`${cx},${cy}`) ?? 0;
      if (count > 0) covered++;
      if (count > 3) often++;
    }
  }
  return { share: covered / inside, overThrice: often / inside };
}
