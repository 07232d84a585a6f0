import type { PlacedShape } from '../drawing/index.ts';
import {
  bundleDiameterMm,
  laidWidthMm,
  needleFor,
  threadKind,
  wrappingNeedle,
  type Needle,
} from '../materials/index.ts';
import { seedFrom } from '../measure/index.ts';
import type { Part, Pass } from '../piece/index.ts';
import {
  measurePath,
  resolveParams,
  stitchKind,
  workStitch,
  type GivenParams,
  type Quantities,
  type StitchPath,
  type StitchShape,
} from '../stitches/index.ts';

/** A pass with nothing left open: its direction is settled and it knows why it is as it is. */
export interface SettledPass extends Pass {
  readonly angleDeg: number;
  /** A sentence for the person. */
  readonly reason: string;
}

/** What every pass of a piece is worked with. */
export interface WorkSettings {
  readonly clothMm: number;
  readonly slack: number;
  readonly travelMm: number;
  readonly satinFrom: 'middle' | 'edge';
  readonly seed: number;
}

/** A pass as it is worked: its path and what that takes. */
export interface PlannedPass {
  readonly stitch: Pass['stitch'];
  readonly thread: string;
  readonly strands: number;
  readonly params: GivenParams;
  readonly angleDeg: number;
  readonly reason: string;
  readonly laidMm: number;
  readonly bundleMm: number;
  readonly needle: Needle;
  readonly path: StitchPath;
  readonly quantities: Quantities;
  /** See MeasuredPath. */
  readonly usedMm: Float32Array;
  readonly breaks: readonly number[];
}

/** A round area up to this wide is worked by a spot stitch as one stitch at its middle, mm. */
const WIDEST_SPOT_MM = 4;
/** An area is round where its widest circle fills at least this share of it. */
const ROUND_SHARE = 0.8;

/** Whether an area is so small and round that one spot stitch can stand for it. */
export function isSmallRound({ kind, areaMm2, widest }: PlacedShape): boolean {
  if (kind !== 'area' || !widest) return false;
  const isRound = Math.PI * widest.r ** 2 >= ROUND_SHARE * areaMm2;
  return isRound && 2 * Math.sqrt(areaMm2 / Math.PI) <= WIDEST_SPOT_MM;
}

/** Whether a stitch can be worked on a part. */
export function canWork(stitch: Pass['stitch'], placed: PlacedShape): boolean {
  const { worksOn } = stitchKind(stitch);
  return worksOn === placed.kind || (worksOn === 'spot' && isSmallRound(placed));
}

/** Works one pass of a part. Pure; the seed and the part's id settle whatever is left to chance. */
export function planPass(placed: PlacedShape, pass: SettledPass, settings: WorkSettings): PlannedPass {
  const kind = threadKind(pass.thread);
  if (!kind) throw new RangeError(`planPass: no thread of kind '${pass.thread}'`);
  const stitch = stitchKind(pass.stitch);
  const needle = stitch.needle === 'wrapping' ? wrappingNeedle(pass.strands) : needleFor(kind, pass.strands);
  const laidMm = laidWidthMm(kind, pass.strands);
  const bundleMm = bundleDiameterMm(kind, pass.strands);
  const given = 'from' in stitch.params ? { from: settings.satinFrom, ...pass.params } : pass.params;
  const path = workStitch(pass.stitch, shapeFor(pass.stitch, placed), given, {
    laidMm,
    bundleMm,
    coreMm: needle.shaftMm,
    angleRad: (pass.angleDeg * Math.PI) / 180,
    seed: seedFrom(settings.seed, placed.partId),
  });
  const { quantities, usedMm, breaks } = measurePath(path, { ...settings, bundleMm });
  return {
    stitch: pass.stitch,
    thread: pass.thread,
    strands: pass.strands,
    params: resolveParams(stitch.params, given, laidMm),
    angleDeg: pass.angleDeg,
    reason: pass.reason,
    laidMm,
    bundleMm,
    needle,
    path,
    quantities,
    usedMm,
    breaks,
  };
}

function shapeFor(stitch: Pass['stitch'], placed: PlacedShape): StitchShape {
  if (stitchKind(stitch).worksOn !== 'spot' || !isSmallRound(placed)) return placed.shape;
  const { x, y } = placed.widest!;
  return { region: [], lines: [], spots: Float64Array.of(x, y) };
}

/** The passes of a part as they are worked now, ready to be changed and written into the piece. */
export function passesAsWorked({ part, passes }: { part: Part; passes: readonly PlannedPass[] }): Pass[] {
  return passes.map(
    ({ stitch, thread, strands, angleDeg }, i): Pass =>
      part.passes?.[i] ?? { stitch, params: {}, angleDeg, thread, strands },
  );
}
