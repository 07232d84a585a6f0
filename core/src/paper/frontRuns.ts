import { placeAt } from '../geometry/index.ts';
import { knotDiameterMm, Move, stitchKind, type StitchPath } from '../stitches/index.ts';
import type { PlannedPass } from '../work/index.ts';

/** A stretch of thread in front, from where it comes up to where it goes down; below an earlier stitch it is not seen, and it has several lines. */
export interface FrontRun {
  /** Each as `x0, y0, x1, y1, …`, mm on the cloth. */
  readonly lines: readonly Float64Array[];
  readonly widthMm: number;
}

/** What of a thread lies in front. */
export interface Front {
  readonly runs: readonly FrontRun[];
  readonly knots: readonly (readonly [x: number, y: number, r: number])[];
}

/** A coil is as wide as its core and the thread wound round it, in bundles. */
const COIL_WIDTHS = 2.1;
/** How thick a wrap between the links of a line is, in laid widths. */
const ON_LINE = 1.25;

/** What of a thread lies in front, as strokes and knots. */
export function frontOf(
  { bundleMm, laidMm, stitch }: Pick<PlannedPass, 'bundleMm' | 'laidMm' | 'stitch'>,
  path: StitchPath,
): Front {
  const runs: FrontRun[] = [];
  const knots: [number, number, number][] = [];
  // Wrapped on a line: a knot where the stitch stands up.
  const { isRaised } = stitchKind(stitch);
  let lines: number[][] = [];
  let wrap: { turns: number; coreMm: number; x: number; y: number } | null = null;
  let [x, y, isLoop] = [0, 0, false];
  for (let i = 0; i < path.codes.length; i++) {
    const code = path.codes[i];
    const [mx, my] = placeAt(path.xy, i);
    if (code === Move.travel || code === Move.lift) continue;
    if (code === Move.wrap) {
      wrap = { turns: mx, coreMm: my, x, y };
      continue;
    }
    if (code === Move.up) [lines, isLoop] = [[[mx, my]], false];
    else {
      isLoop ||= code !== Move.down;
      if (code === Move.under) lines.push([mx, my]);
      else lines.at(-1)?.push(mx, my);
      if (code === Move.down) {
        const diameter = wrap ? knotDiameterMm(wrap.turns, bundleMm, wrap.coreMm) : 0;
        const isKnot = wrap && !isLoop && Math.hypot(mx - x, my - y) < diameter;
        if (isKnot) knots.push([(x + mx) / 2, (y + my) / 2, diameter / 2]);
        // Wound round a loop: a small knot on the line.
        if (wrap && isLoop) knots.push([wrap.x, wrap.y, (isRaised ? diameter : laidMm * ON_LINE) / 2]);
        if (!isKnot) {
          const widthMm = wrap && !isLoop ? COIL_WIDTHS * bundleMm : laidMm;
          runs.push({ lines: lines.filter((line) => line.length > 2).map((line) => Float64Array.from(line)), widthMm });
        }
        wrap = null;
      }
    }
    [x, y] = [mx, my];
  }
  return { runs, knots };
}
