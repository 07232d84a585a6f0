import { boxesMeet, boxOf, type Box } from '@junctura/core/geometry';
import type { Brush } from './brush.ts';

/** Thread narrower than this on screen shows no crossings, px. */
const SEEN_FROM_PX = 2;

interface Painted {
  /** Its way, `x, y` in pixels. */
  readonly points: readonly number[];
  /** From where to where it goes, across and up and down: what is elsewhere is passed over. */
  readonly box: Box;
  readonly paint: () => void;
  /** Paints just what of it lies near a place; null: it is painted whole, and cut. */
  readonly paintNear: ((x: number, y: number, half: number) => void) | null;
}

/**
 * Where thread goes below an earlier stitch on top of the cloth: it is painted whole, and what it passes below is painted
 * once more over it, there alone.
 */
export class Crossings {
  private readonly painted: Painted[] = [];
  private waiting: [x0: number, y0: number, x1: number, y1: number][] = [];

  constructor(
    private readonly brush: Brush,
    private readonly width: number,
  ) {}

  /** Something was painted that later thread may go below. */
  remember(points: readonly number[], paint: Painted['paint'], paintNear: Painted['paintNear'] = null): void {
    if (this.width >= SEEN_FROM_PX) this.painted.push({ points, box: boxOf([points])!, paint, paintNear });
  }

  /** The thread that is under way goes below what crosses this stretch. */
  goUnder(x0: number, y0: number, x1: number, y1: number): void {
    if (this.width >= SEEN_FROM_PX) this.waiting.push([x0, y0, x1, y1]);
  }

  /** Paints what the thread went below once more, over it. */
  repaintOver(): void {
    const { brush, width, waiting } = this;
    this.waiting = [];
    for (const [x0, y0, x1, y1] of waiting) {
      const below = boxOf([[x0, y0, x1, y1]])!;
      const over = this.painted.filter(({ points, box }) => boxesMeet(box, below) && crosses(points, x0, y0, x1, y1));
      if (over.length === 0) continue;
      const half = Math.max(width * 0.64, Math.hypot(x1 - x0, y1 - y0) * 0.45);
      const [x, y] = [(x0 + x1) / 2, (y0 + y1) / 2];
      if (over.every(({ paintNear }) => paintNear)) {
        for (const { paintNear } of over) paintNear!(x, y, half);
        continue;
      }
      brush.save();
      brush.beginPath();
      // Whole pixels: a clip that needs no soft edge is far quicker.
      const [left, top] = [Math.round(x - half), Math.round(y - half)];
      brush.rect(left, top, Math.round(2 * half), Math.round(2 * half));
      brush.clip();
      for (const { paint } of over) paint();
      brush.restore();
    }
  }
}

function crosses(points: readonly number[], x0: number, y0: number, x1: number, y1: number): boolean {
  const [left, right] = [Math.min(x0, x1), Math.max(x0, x1)];
  for (let i = 0; i + 3 < points.length; i += 2) {
    const [ax, ay, bx, by] = [points[i]!, points[i + 1]!, points[i + 2]!, points[i + 3]!];
    if (Math.max(ax, bx) < left || Math.min(ax, bx) > right) continue;
    const [p, q] = [turn(x0, y0, x1, y1, ax, ay), turn(x0, y0, x1, y1, bx, by)];
    const [r, s] = [turn(ax, ay, bx, by, x0, y0), turn(ax, ay, bx, by, x1, y1)];
    if (p * q <= 0 && r * s <= 0) return true;
  }
  return false;
}

function turn(ax: number, ay: number, bx: number, by: number, px: number, py: number): number {
  return (bx - ax) * (py - ay) - (by - ay) * (px - ax);
}
