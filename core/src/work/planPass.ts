import type { PlannedPass, WorkedThread } from './plannedPart.ts';
import { type OwnFactors, threadFactor } from './ownFactors.ts';
import { directionOf, liftOf, NOTHING_BELOW, paddingInsetMm, shapeOfPass, type Below } from './passShape.ts';
import { canWork, type SettledPass } from '../propose/index.ts';
import type { PlacedShape } from '../drawing/index.ts';
import { bundleDiameterMm, clothOf, laidWidthMm, needlesFor, threadKind } from '../materials/index.ts';
import { seedFrom } from '../measure/index.ts';
import type { Pass } from '../piece/index.ts';
import {
  measurePath,
  paceOf,
  MoveRecorder,
  resolveParams,
  splitByShade,
  standardOf,
  stitchKind,
  workStitch,
  type GivenParams,
  type MeasuredPath,
  type StitchContext,
  type StitchPath,
  type StitchShape,
} from '../stitches/index.ts';

const NOTHING: StitchShape = { region: [], lines: [], spots: new Float64Array(0) };

/** What every pass of a piece is worked with. */
export interface WorkSettings {
  /** The kind of cloth, and how thick it is, mm. */
  readonly cloth: string;
  readonly clothMm: number;
  readonly slack: number;
  readonly travelMm: number;
  readonly satinFrom: 'middle' | 'edge';
  readonly hand: 'right' | 'left';
  readonly seed: number;
  readonly own: OwnFactors;
}

/**
 * Works one pass of a part. Pure; the seed and the part's id settle whatever is left to chance.
 * @param below what of the same part is worked before it and lies under it
 */
export function planPass(
  placed: PlacedShape,
  pass: SettledPass,
  settings: WorkSettings,
  below = NOTHING_BELOW,
): PlannedPass {
  const kind = threadKind(pass.thread);
  if (!kind) throw new RangeError(`planPass: no thread of kind '${pass.thread}'`);
  const stitch = stitchKind(pass.stitch);
  const needles = needlesFor(kind, pass.strands, stitch.needle, clothOf(settings.cloth)!);
  const needle = needles[0]!;
  const laidMm = laidWidthMm(kind, pass.strands) * settings.own.width;
  const bundleMm = bundleDiameterMm(kind, pass.strands);
  const given = { ...schoolsOf(pass, settings, laidMm), ...pass.params };
  const liftMm = liftOf(pass.role, below);
  const context: StitchContext = {
    laidMm,
    bundleMm,
    coreMm: needle.shaftMm,
    // What the bundle's section fills when it is spread to its laid width.
    heightMm: (Math.PI * bundleMm ** 2) / (4 * laidMm),
    seed: seedFrom(settings.seed, placed.partId),
    vein: placed.vein ?? undefined,
    shades: pass.shades.length > 1 ? { count: pass.shades.length, borders: placed.borders } : undefined,
    ...directionOf(placed, pass, pass.angleDeg),
  };
  const recorder = new MoveRecorder();
  if (liftMm > 0) recorder.lift(liftMm);
  // A layer that its part can no longer be worked in stays in its place, bare: layers are known by their order.
  const shape = canWork(pass.stitch, placed, pass.role) ? shapeOfPass(placed, pass, laidMm, below) : NOTHING;
  const path = workStitch(pass.stitch, shape, given, context, recorder);
  const slack = (1 + settings.slack) * threadFactor(settings.own, pass.stitch) - 1;
  const pace = paceOf(stitch, pass.shades.length);
  const measure = (part: StitchPath): MeasuredPath => measurePath(part, { ...settings, slack, bundleMm, pace });
  const whole = measure(path);
  const single: WorkedThread = { colour: pass.shades[0] ?? pass.colour, path, ...whole };
  const byShade = pass.shades.length > 1 ? splitByShade(path, pass.shades.length) : [];
  return {
    ...pass,
    given: pass.params,
    params: resolveParams(stitch.params, given, laidMm),
    laidMm,
    bundleMm,
    needle,
    needles,
    path,
    quantities: whole.quantities,
    threads: byShade.some(({ starts }) => starts.length > 0)
      ? byShade.map((part, i) => ({ colour: pass.shades[i]!, path: part, ...measure(part) }))
      : [single],
    liftMm,
  };
}

/** What the person's schools and hand decide of a stitch's parameters, where they are left open. */
function schoolsOf(pass: Pass, { satinFrom, hand, own }: WorkSettings, laidMm: number): GivenParams {
  const { params } = stitchKind(pass.stitch);
  const given: Record<string, number | string> = {};
  if ('from' in params) given['from'] = satinFrom;
  // Stem stitch keeps its thread on the side of the other hand.
  if (params['side']?.type === 'choice' && hand === 'left' && params['side'].default === 'right')
    given['side'] = 'left';
  const length = params['stitchMm'];
  if (length?.type === 'number' && own.stitch !== 1) {
    given['stitchMm'] = own.stitch * standardOf(length, laidMm);
  }
  return given;
}

/** What lies below the next pass of a part when this one is worked. */
export function withPass(
  below: Below,
  placed: PlacedShape,
  { role, stitch, laidMm, bundleMm, quantities }: PlannedPass,
): Below {
  if (placed.kind !== 'area' || placed.areaMm2 <= 0 || (role !== 'padding' && role !== 'filling')) return below;
  const heightMm = (quantities.frontMm * Math.PI * bundleMm ** 2) / 4 / placed.areaMm2;
  const isPadding = role === 'padding';
  return {
    insetMm: isPadding ? paddingInsetMm(below, stitch, laidMm) : below.insetMm,
    paddingMm: below.paddingMm + (isPadding ? heightMm : 0),
    allMm: below.allMm + heightMm,
  };
}
