import { knotDiameterMm, Move } from '@junctura/core/stitches';
import type { Brush, Lens } from './brush.ts';
import { paintKnot, paintLoop, paintRun } from './paintRun.ts';
import type { PaintedPass } from './scene.ts';

/** After this many moves the painter pauses to let others have their turn. */
const SLICE = 400;

/** Paints what of a pass lies on top, in the order in which it was worked. */
export function* paintFront(brush: Brush, { pass, tones }: PaintedPass, lens: Lens): Generator<void> {
  const { codes, xy } = pass.path;
  const width = pass.laidMm * lens.pxPerMm;
  const margin = pass.laidMm;
  let loop: number[] | null = null;
  let wrap: { turns: number; coreMm: number } | null = null;
  let [x, y] = [0, 0];
  for (let i = 0; i < codes.length; i++) {
    if (i % SLICE === SLICE - 1) yield;
    const code = codes[i];
    if (code === Move.travel) continue;
    const mx = xy[2 * i]!;
    const my = xy[2 * i + 1]!;
    if (code === Move.wrap) {
      wrap = { turns: mx, coreMm: my };
      continue;
    }
    if (code === Move.via) {
      loop ??= [toX(lens, x), toY(lens, y)];
      loop.push(toX(lens, mx), toY(lens, my));
    } else if (code === Move.down) {
      if (isSeen(lens, x, y, mx, my, margin + 10)) {
        if (loop) {
          loop.push(toX(lens, mx), toY(lens, my));
          paintLoop(brush, loop, width * 0.8, pass.strands, tones);
        } else if (wrap) {
          const diameter = knotDiameterMm(wrap.turns, pass.bundleMm, wrap.coreMm) * lens.pxPerMm;
          paintKnot(brush, toX(lens, (x + mx) / 2), toY(lens, (y + my) / 2), diameter, wrap.turns, pass.strands, tones);
        } else {
          const run = {
            x0: toX(lens, x),
            y0: toY(lens, y),
            x1: toX(lens, mx),
            y1: toY(lens, my),
            width,
            strands: pass.strands,
          };
          paintRun(brush, run, tones);
        }
      }
      loop = null;
      wrap = null;
      [x, y] = [mx, my];
    } else {
      [x, y] = [mx, my];
    }
  }
}

/** Paints what of a pass lies behind: the runs from where the needle went down to where it came up next. */
export function* paintBack(brush: Brush, { pass, tones }: PaintedPass, lens: Lens): Generator<void> {
  const { codes, xy, starts } = pass.path;
  const width = pass.laidMm * lens.pxPerMm * 0.94;
  const breaks = new Set(pass.breaks.map((stitch) => starts[stitch]!));
  let [x, y, isUnder] = [0, 0, false];
  for (let i = 0; i < codes.length; i++) {
    if (i % SLICE === SLICE - 1) yield;
    const code = codes[i];
    if (breaks.has(i)) isUnder = false;
    const mx = xy[2 * i]!;
    const my = xy[2 * i + 1]!;
    if (code === Move.down) [x, y, isUnder] = [mx, my, true];
    if (code !== Move.up) continue;
    if (isUnder && isSeen(lens, x, y, mx, my, pass.laidMm)) {
      paintRun(
        brush,
        { x0: toX(lens, x), y0: toY(lens, y), x1: toX(lens, mx), y1: toY(lens, my), width, strands: pass.strands },
        tones,
      );
    }
    isUnder = false;
  }
}

function toX(lens: Lens, x: number): number {
  return (x - lens.offsetX) * lens.pxPerMm;
}

function toY(lens: Lens, y: number): number {
  return (y - lens.offsetY) * lens.pxPerMm;
}

function isSeen(lens: Lens, x0: number, y0: number, x1: number, y1: number, margin: number): boolean {
  return (
    Math.max(x0, x1) + margin >= lens.minX &&
    Math.min(x0, x1) - margin <= lens.maxX &&
    Math.max(y0, y1) + margin >= lens.minY &&
    Math.min(y0, y1) - margin <= lens.maxY
  );
}
