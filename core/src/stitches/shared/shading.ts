import { segmentsOf } from '../../geometry/index.ts';
import type { Polyline } from '../../geometry/index.ts';
import type { StitchContext } from '../kind.ts';

/** In which shade a stitch is worked, by where its middle lies, which share of the way along its row that is, and its band. */
export type ShadeAt = (x: number, y: number, along: number, row: { x: number; y: number }, band?: number) => number;

/**
 * Which of several shades a stitch takes: where borders are drawn, as many as lie between it and the start of its row; else
 * equal shares of the row.
 */
export function shadesOf({ shades }: StitchContext): ShadeAt | undefined {
  if (!shades || shades.count < 2) return undefined;
  const { count, borders } = shades;
  const last = count - 1;
  if (borders.length === 0) return (_x, _y, along) => Math.min(last, Math.floor(along * count));
  return (x, y, _along, start) =>
    Math.min(last, borders.filter((border) => crosses(border, start.x, start.y, x, y)).length);
}

/** Whether a row, span or stitch is worked, by its number among those side by side and the thread that it takes. */
export type Keeps = (number: number, thread: number) => boolean;

/** Stitches lie as close as the thinnest thread asks for: a thread that is twice as wide takes every second place. */
export function keepsOf({ widths }: StitchContext): Keeps | undefined {
  if (!widths || widths.every((width) => width === widths[0])) return undefined;
  return (number, thread) => {
    const width = widths[thread] ?? 1;
    return Math.floor((number + 1) / width) > Math.floor(number / width);
  };
}

/** Whether the way from one place to another crosses a line. */
function crosses({ points }: Polyline, ax: number, ay: number, bx: number, by: number): boolean {
  const side = (px: number, py: number, qx: number, qy: number, x: number, y: number): number =>
    (qx - px) * (y - py) - (qy - py) * (x - px);
  for (const [[cx, cy], [dx, dy]] of segmentsOf({ points, closed: false })) {
    const isSplit = side(ax, ay, bx, by, cx, cy) * side(ax, ay, bx, by, dx, dy) < 0;
    if (isSplit && side(cx, cy, dx, dy, ax, ay) * side(cx, cy, dx, dy, bx, by) < 0) return true;
  }
  return false;
}
