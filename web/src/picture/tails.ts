import { Move } from '@junctura/core/stitches';
import type { PaintedThread } from './scene.ts';

/** How much of a tail is worked in under stitches behind, mm. */
const WORKED_IN_MM = 30;
/** A tail goes over and under the runs that it is worked in under by this much, in laid widths. */
const SWING = 0.9;
const kept = new WeakMap<object, number[][]>();

/**
 * Where thread was begun and fastened off: its tail, worked in under the runs beside it, as `x, y` along its way (mm). One at
 * each end of a length, where that lies in this thread, and where it is fastened off to go on elsewhere. A tail at a beginning lies
 * under what the length works next, one at an end behind what it worked last: neither crosses open cloth.
 */
export function tailsOf({ thread, pass, lengths }: PaintedThread): number[][] {
  if (lengths === null) return [];
  const known = kept.get(lengths);
  if (known) return known;
  const { codes, xy, starts } = thread.path;
  const drawn = lengths
    .flatMap(({ from, to, begins, ends }) => {
      if (from >= to) return [];
      const first = starts[from]!;
      const last = (starts[to] ?? codes.length) - 1;
      return [
        ...(begins ? [workedIn(codes, xy, first, last, 1, pass.laidMm)] : []),
        ...(ends ? [workedIn(codes, xy, first, last, -1, pass.laidMm)] : []),
      ];
    })
    .filter((tail) => tail.length >= 6);
  kept.set(lengths, drawn);
  return drawn;
}

/** From one end of a load along the middles of its runs behind, swinging to either side of them by turns. */
function workedIn(
  codes: Uint8Array,
  xy: Float32Array,
  first: number,
  last: number,
  step: 1 | -1,
  laidMm: number,
): number[] {
  const way: number[] = [];
  let [length, side, px, py] = [0, 1, NaN, NaN];
  for (let i = step > 0 ? first : last; i >= first && i <= last && length < WORKED_IN_MM; i += step) {
    const code = codes[i];
    if (code !== Move.up && code !== Move.down) continue;
    const [x, y] = [xy[2 * i]!, xy[2 * i + 1]!];
    if (Number.isNaN(px)) {
      way.push(x, y);
      [px, py] = [x, y];
      continue;
    }
    const [mx, my] = [(px + x) / 2, (py + y) / 2];
    const span = Math.hypot(x - px, y - py);
    if (span > 1e-6) {
      const [lastX, lastY] = [way.at(-2)!, way.at(-1)!];
      const along = Math.hypot(mx - lastX, my - lastY) || 1;
      const swing = Math.min(SWING * laidMm, span * 0.35) * side;
      way.push(mx - ((my - lastY) / along) * swing, my + ((mx - lastX) / along) * swing);
      length += along;
      side = -side;
    }
    [px, py] = [x, y];
  }
  return way;
}
