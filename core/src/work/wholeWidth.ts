import {
  coilThicknessMm,
  knotDiameterMm,
  placesOnPath,
  stitchKind,
  workStitch,
  type StitchId,
} from '../stitches/index.ts';
import type { PlannedPass } from './plannedPart.ts';

/** A line that is long enough for every line stitch to come into its stride, mm. */
const STRAIGHT = Float64Array.of(0, 0, 80, 0);
/** Stitches that make round knots, alone or packed. */
export const KNOTS: ReadonlySet<StitchId> = new Set(['french', 'colonial', 'french-fill', 'colonial-fill']);

/** How wide what a pass lays is on the cloth: the whole band of a line stitch, a coil, a knot. */
export interface WholeWidth {
  readonly of: 'line' | 'coil' | 'knot';
  readonly widthMm: number;
}

/** The width of what a pass lays; null: that of its thread. A line is worked straight for it, in the same thread. */
export function wholeWidth(
  pass: Pick<PlannedPass, 'stitch' | 'params' | 'laidMm' | 'bundleMm' | 'needle' | 'threads'>,
): WholeWidth | null {
  const { stitch, params, laidMm, bundleMm, needle } = pass;
  if (stitch === 'bullion') return { of: 'coil', widthMm: coilThicknessMm(bundleMm) };
  if (KNOTS.has(stitch)) {
    return { of: 'knot', widthMm: knotDiameterMm(Math.round(Number(params['wraps'] ?? 2)), bundleMm, needle.shaftMm) };
  }
  if (stitchKind(stitch).worksOn !== 'line') return null;
  const shape = { region: [], lines: [{ points: STRAIGHT, closed: false }], spots: new Float64Array(0) };
  const context = { laidMm, bundleMm, coreMm: needle.shaftMm, heightMm: bundleMm, angleRad: 0, seed: 1 };
  const places = placesOnPath(workStitch(stitch, shape, params, context));
  let [least, most] = [0, 0];
  for (let i = 1; i < places.length; i += 2) {
    least = Math.min(least, places[i]!);
    most = Math.max(most, places[i]!);
  }
  const thickest = Math.max(laidMm, ...pass.threads.map(({ own }) => own?.laidMm ?? 0));
  return { of: 'line', widthMm: most - least + thickest };
}
