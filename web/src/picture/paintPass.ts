import {
  coilThicknessMm,
  knotDiameterMm,
  lastPlace,
  Move,
  stitchKind,
  wrapsToCover,
  type StitchPath,
} from '@junctura/core/stitches';
import { through, type Brush, type Lens } from './brush.ts';
import { castShade } from './castShade.ts';
import { paintCoil } from './paintCoil.ts';
import { paintKnot, wayOfKnot } from './paintKnot.ts';
import { paintLoop, STRANDS_FROM_PX } from './paintRun.ts';
import { Crossings } from './crossings.ts';
import { RunBatch } from './runBatch.ts';
import type { PaintedThread } from './scene.ts';
import { tailsOf } from './tails.ts';

/** After this many moves the painter pauses to let others have their turn. */
const SLICE = 400;
/** Wound thread whose ends are further apart than this many times a knot is a coil over a span. */
const COIL_FROM = 1.4;
/** How thick a wrap between the links of a line is, in laid widths. */
const NUB_WIDTHS = 1.25;

/** Some of a thread's stitches: from one by its number to just before another. */
export interface Stretch {
  readonly from: number;
  readonly to: number;
}

/** Paints what of a thread lies on top, all of it or a stretch, in the order in which it was worked. */
export function* paintFront(
  brush: Brush,
  painted: PaintedThread,
  lens: Lens,
  stretch: Stretch | null = null,
): Generator<void> {
  const { pass, thread, tones } = painted;
  const { codes, xy, starts } = thread.path;
  const first = (stretch && starts[stretch.from]) ?? 0;
  const last = (stretch && starts[stretch.to]) ?? codes.length;
  const width = pass.laidMm * lens.pxPerMm;
  const margin = pass.laidMm + 10;
  const batch = new RunBatch(brush, tones, width, pass.strands);
  const { toX, toY, sees } = through(lens);
  /** The thread on top since it last came into view, px; null while it runs straight. */
  let loop: number[] | null = null;
  let wrap: { turns: number; coreMm: number; x: number; y: number } | null = null;
  let [x, y] = first > 0 ? lastPlace(thread.path, stretch!.from) : [0, 0];
  let lift = liftBefore(thread.path, first);
  if (!stretch) castShade(brush, painted, lens);
  const crossings = codes.includes(Move.under) ? new Crossings(brush, width) : null;
  const finishLoop = (): void => {
    if (!loop) return;
    batch.flush();
    const points = loop;
    const paint = (): void => paintLoop(brush, points, width * 0.94, pass.strands, tones);
    if (points.length > 2) paint();
    crossings?.repaintOver();
    batch.flush();
    crossings?.remember(points, paint);
    loop = null;
  };
  for (let i = first; i < last; i++) {
    if (i % SLICE === SLICE - 1) yield;
    const code = codes[i];
    if (code === Move.travel) continue;
    const mx = xy[2 * i]!;
    const my = xy[2 * i + 1]!;
    if (code === Move.lift) lift = mx;
    else if (code === Move.wrap) wrap = { turns: mx, coreMm: my, x, y };
    else if (code === Move.up) [x, y] = [mx, my];
    else {
      const isSeen = sees(x, y, mx, my, margin);
      if (code === Move.via || code === Move.under) {
        if (isSeen) (loop ??= [toX(x), toY(y)]).push(toX(mx), toY(my));
        if (code === Move.under) {
          // What is below is settled before the thread goes on, as it may lie over the same stitch next time round.
          crossings?.goUnder(toX(x), toY(y), toX(mx), toY(my));
          finishLoop();
          if (isSeen) loop = [toX(mx), toY(my)];
        }
      } else {
        if (loop) {
          loop.push(toX(mx), toY(my));
          finishLoop();
          if (wrap && isSeen) nub(wrap);
        } else if (isSeen && wrap) wound(mx, my);
        else if (isSeen) {
          const run = [toX(x), toY(y), toX(mx), toY(my)] as const;
          const isRaised = lift > 0;
          batch.add(...run, isRaised);
          // Strand by strand a stretch of a run would show ends that it has not.
          const near = width < STRANDS_FROM_PX && !isRaised;
          crossings?.remember(
            run,
            () => {
              batch.add(...run, isRaised);
              batch.flush();
            },
            near ? (atX, atY, half) => batch.add(...stretchNear(run, atX, atY, half), false) : null,
          );
        } else if (!wrap) batch.pass(mx - x, my - y);
        wrap = null;
      }
      [x, y] = [mx, my];
    }
  }
  finishLoop();
  batch.flush();

  /** The wrap on a line: a knot where the stitch stands up, else hardly thicker than the links that it sits between. */
  function nub({ turns, coreMm, x: atX, y: atY }: NonNullable<typeof wrap>): void {
    const diameterMm = stitchKind(pass.stitch).isRaised
      ? knotDiameterMm(turns, pass.bundleMm, coreMm)
      : pass.laidMm * NUB_WIDTHS;
    const way = wayOfKnot(atX, atY);
    const knot = { diameter: diameterMm * lens.pxPerMm, wraps: 1, strands: pass.strands, way };
    paintKnot(brush, toX(atX), toY(atY), knot, tones);
  }

  /** Wound thread between two holes: a knot, or a coil over the span. */
  function wound(toMmX: number, toMmY: number): void {
    batch.flush();
    const { turns, coreMm } = wrap!;
    const diameterMm = knotDiameterMm(turns, pass.bundleMm, coreMm);
    const spanMm = Math.hypot(toMmX - x, toMmY - y);
    if (spanMm < diameterMm * COIL_FROM && turns <= 4) {
      const [atX, atY] = [(x + toMmX) / 2, (y + toMmY) / 2];
      const way = wayOfKnot(atX, atY);
      const knot = { diameter: diameterMm * lens.pxPerMm, wraps: turns, strands: pass.strands, way };
      paintKnot(brush, toX(atX), toY(atY), knot, tones);
      return;
    }
    const coil = { x0: toX(x), y0: toY(y), x1: toX(toMmX), y1: toY(toMmY) };
    const thickness = coilThicknessMm(pass.bundleMm) * lens.pxPerMm;
    paintCoil(
      brush,
      coil,
      { thickness, turns, fullness: turns / wrapsToCover(spanMm, pass.bundleMm), strands: pass.strands },
      tones,
    );
  }
}

/** What of a straight run lies near a place, px. */
function stretchNear(
  [x0, y0, x1, y1]: readonly [number, number, number, number],
  x: number,
  y: number,
  half: number,
): [number, number, number, number] {
  const [wayX, wayY] = [x1 - x0, y1 - y0];
  const length = Math.hypot(wayX, wayY) || 1;
  const at = ((x - x0) * wayX + (y - y0) * wayY) / length;
  const [from, to] = [Math.max(0, at - half) / length, Math.min(length, at + half) / length];
  return [x0 + wayX * from, y0 + wayY * from, x0 + wayX * to, y0 + wayY * to];
}

/** How high thread lies over padding where a move begins, mm. */
function liftBefore({ codes, xy }: StitchPath, move: number): number {
  const at = codes.lastIndexOf(Move.lift, move - 1);
  return move > 0 && at >= 0 ? xy[2 * at]! : 0;
}

/** Paints what of a thread lies behind: the runs from where the needle went down to where it came up next, and its tails. */
export function* paintBack(brush: Brush, painted: PaintedThread, lens: Lens): Generator<void> {
  const { pass, thread, tones } = painted;
  const { codes, xy, starts } = thread.path;
  const width = pass.laidMm * lens.pxPerMm * 0.94;
  const batch = new RunBatch(brush, tones, width, pass.strands);
  const breaks = new Set(thread.breaks.map((stitch) => starts[stitch]!));
  const { toX, toY, sees } = through(lens);
  let [x, y, isUnder] = [0, 0, false];
  for (let i = 0; i < codes.length; i++) {
    if (i % SLICE === SLICE - 1) yield;
    const code = codes[i];
    if (breaks.has(i)) isUnder = false;
    const mx = xy[2 * i]!;
    const my = xy[2 * i + 1]!;
    if (code === Move.down) [x, y, isUnder] = [mx, my, true];
    if (code !== Move.up) continue;
    // What is out of view is passed over, as in front.
    if (isUnder && sees(x, y, mx, my, pass.laidMm)) batch.add(toX(x), toY(y), toX(mx), toY(my), false);
    isUnder = false;
  }
  batch.flush();
  for (const tail of tailsOf(painted)) {
    const isSeen = tail.some((x, k) => k % 2 === 0 && sees(x, tail[k + 1]!, x, tail[k + 1]!, pass.laidMm));
    if (!isSeen) continue;
    paintLoop(
      brush,
      tail.map((value, k) => (k % 2 ? toY(value) : toX(value))),
      width * 0.9,
      pass.strands,
      tones,
    );
    yield;
  }
}
