import type { OwnThread, PlannedPass, WorkedThread } from './plannedPart.ts';
import { type OwnFactors, threadFactor } from './ownFactors.ts';
import {
  directionOf,
  liftOf,
  needsMiddle,
  NOTHING_BELOW,
  paddingInsetMm,
  shapeOfPass,
  type Below,
} from './passShape.ts';
import { labOf } from '../colour/index.ts';
import { paintingOf } from '../painting/index.ts';
import { canWork, type SettledPass } from '../propose/index.ts';
import { middleFound, type MiddleOf, type PictureBelow, type PlacedShape } from '../drawing/index.ts';
import type { MiddleLine } from '../geometry/index.ts';
import {
  bundleDiameterMm,
  clothOf,
  laidWidthMm,
  needlesFor,
  threadKind,
  type Needle,
  type ClothId,
  type ThreadId,
} from '../materials/index.ts';
import { Memory, seedFrom, stage } from '../measure/index.ts';
import { isPainting, type Pass } from '../piece/index.ts';
import {
  measurePath,
  paceOf,
  quantitiesTogether,
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
  readonly cloth: ClothId;
  readonly clothMm: number;
  readonly slack: number;
  readonly travelMm: number;
  readonly satinFrom: 'middle' | 'edge';
  readonly hand: 'right' | 'left';
  readonly seed: number;
  readonly own: OwnFactors;
}

/** The picture that a pass shows, and how its shades look. */
interface PictureInShades {
  readonly below: PictureBelow;
  readonly hexes: readonly string[];
}

/** All that decides how a pass is worked. */
export interface PassToWork {
  readonly placed: PlacedShape;
  /** The middle line of its area, where it follows that. */
  readonly middle: MiddleLine | null;
  readonly pass: SettledPass;
  readonly settings: WorkSettings;
  /** What of the same part is worked before it and lies under it. */
  readonly below: Below;
  /** What it is painted from, where its stitch shows a picture. */
  readonly picture: PictureInShades | null;
}

export const WORKED_PASS = stage<PassToWork>()(
  'worked pass',
  ['placed', 'middle', 'pass', 'settings', 'below', 'picture'],
  worked,
);

/** A pass with all that decides how it is worked. */
export function passToWork(
  placed: PlacedShape,
  pass: SettledPass,
  settings: WorkSettings,
  below = NOTHING_BELOW,
  from: PaintedFrom | null = null,
  middleOf: MiddleOf = middleFound,
): PassToWork {
  const picture = from && isPainting(pass) ? { below: from.below, hexes: pass.shades.map(from.hexOf) } : null;
  const middle = needsMiddle(placed, pass) ? middleOf(placed) : null;
  return { placed, middle, pass, settings, below, picture };
}

/** Works one pass of a part by itself. Pure; the seed and the part's id settle whatever is left to chance. */
export function planPass(placed: PlacedShape, pass: SettledPass, settings: WorkSettings): PlannedPass {
  return worked(passToWork(placed, pass, settings), new Memory());
}

function worked(
  { placed, middle, pass, settings, below, picture }: PassToWork,
  memory: Memory,
  tell?: (share: number) => void,
): PlannedPass {
  const kind = threadKind(pass.thread);
  const stitch = stitchKind(pass.stitch);
  const cloth = clothOf(settings.cloth);
  const [needle, ...others] = needlesFor(kind, pass.strands, stitch.needle, cloth) as [Needle, ...Needle[]];
  const second = pass.second && stitch.secondThread !== null ? pass.second : null;
  // A second thread of another thickness has a needle of its own: blunt where the stitch takes one.
  const secondUse = others.length > 0 ? 'blunt' : 'sharp';
  const needles = second
    ? [needle, ...needlesFor(threadKind(second.thread), second.strands, secondUse, cloth)]
    : [needle, ...others];
  const widthOf = (strands: number): number => laidWidthMm(kind, strands) * settings.own.width;
  const laidMm = widthOf(pass.strands);
  const threads = colourThreads(pass);
  // Stitches lie as close as the thinnest of its threads asks for; thicker ones take every second or third place.
  const closestMm = Math.min(...threads.map(({ strands }) => widthOf(strands)));
  const bundleMm = bundleDiameterMm(kind, pass.strands);
  const given = { ...schoolsOf(pass, settings, closestMm), ...pass.params };
  const liftMm = liftOf(pass.role, below);
  const context: StitchContext = {
    laidMm: closestMm,
    bundleMm,
    coreMm: needle.shaftMm,
    // What the bundle's section fills when it is spread to its laid width.
    heightMm: (Math.PI * bundleMm ** 2) / (4 * laidMm),
    seed: seedFrom(settings.seed, placed.partId),
    vein: placed.vein ?? undefined,
    shades: pass.shades.length > 1 ? { count: pass.shades.length, borders: placed.borders } : undefined,
    firstRow: hasFirstRow(pass),
    widths: threads.length > 1 ? threads.map(({ strands }) => widthOf(strands) / closestMm) : undefined,
    ...directionOf(placed, pass, pass.angleDeg, middle),
    ...paintedBy(placed, laidMm, picture, memory),
    tell,
  };
  const recorder = new MoveRecorder();
  if (liftMm > 0) recorder.lift(liftMm);
  // A layer that its part can no longer be worked in stays in its place, bare: layers are known by their order.
  const shape = canWork(pass.stitch, placed, pass.role) ? shapeOfPass(placed, pass, laidMm, below, middle) : NOTHING;
  const path = workStitch(pass.stitch, shape, given, context, recorder);
  const slack = (1 + settings.slack) * threadFactor(settings.own, pass.stitch) - 1;
  const pace = paceOf(stitch, pass.shades.length);
  const measure = (part: StitchPath, bundle: number): MeasuredPath =>
    measurePath(part, { ...settings, slack, bundleMm: bundle, pace });
  const ownOf = (own: { thread: ThreadId; strands: number }, first: Needle | undefined): OwnThread =>
    ownThread(own, first ?? needlesFor(threadKind(own.thread), own.strands, stitch.needle, cloth)[0]!, settings);
  const worked = threadsOf(
    pass,
    path,
    threads,
    (part, own) => measure(part, own?.bundleMm ?? bundleMm),
    (own) => ownOf(own, own === pass.second ? needles[1] : undefined),
  );
  const isOneMeasure = worked.length < 2 || (pass.shades.length > 1 && worked.every(({ own }) => own === null));
  const whole = isOneMeasure
    ? measure(path, bundleMm).quantities
    : quantitiesTogether(worked.map(({ quantities }) => quantities));
  return {
    ...pass,
    given: pass.params,
    params: resolveParams(stitch.params, given, closestMm),
    laidMm,
    bundleMm,
    needle,
    needles: withOwnNeedles(needles, worked),
    path,
    quantities: whole,
    threads: worked,
    liftMm,
  };
}

/** The picture that a part shows, and the colour of each of the palette’s ids. */
export interface PaintedFrom {
  readonly below: PictureBelow;
  hexOf(colour: string): string;
}

/** The lie and the shades of a pass that shows a picture. */
function paintedBy(
  placed: PlacedShape,
  laidMm: number,
  picture: PictureInShades | null,
  memory: Memory,
): Pick<StitchContext, 'field' | 'picture'> {
  if (!picture || placed.kind !== 'area') return {};
  const shades = picture.hexes.map(labOf);
  const painting = paintingOf(placed.shape.region, picture.below, placed.guides, shades, laidMm, memory);
  return painting ? { field: painting.field, picture: painting.guide } : {};
}

/** Whether the first row of a pass is worked in a thread of its own. */
function hasFirstRow({ stitch, firstRowStrands, strands }: SettledPass): boolean {
  return firstRowStrands !== null && firstRowStrands !== strands && stitchKind(stitch).hasFirstRow;
}

/** The threads of a pass in the order of working, as its path counts them: its first row where that has its own, then each shade. */
function colourThreads(pass: SettledPass): readonly { readonly colour: string | null; readonly strands: number }[] {
  const shades = pass.shades.map((colour, i) => ({ colour, strands: pass.shadeStrands[i] ?? pass.strands }));
  const all = shades.length > 0 ? shades : [{ colour: pass.colour, strands: pass.strands }];
  if (!hasFirstRow(pass)) return all;
  return [{ colour: all[0]!.colour, strands: pass.firstRowStrands ?? pass.strands }, ...all];
}

/** The path as it is threaded: in one, in each of several shades, or in what is worked first and what whips, laces, weaves or ties it. */
function threadsOf(
  pass: SettledPass,
  path: StitchPath,
  colours: ReturnType<typeof colourThreads>,
  measure: (part: StitchPath, own: OwnThread | null) => MeasuredPath,
  ownOf: (own: { thread: ThreadId; strands: number }) => OwnThread,
): WorkedThread[] {
  const thread = (part: StitchPath, colour: string | null, own: OwnThread | null = null): WorkedThread => ({
    colour,
    path: part,
    own,
    ...measure(part, own),
  });
  const isStitched = ({ starts }: StitchPath): boolean => starts.length > 0;
  if (colours.length > 1) {
    const byShade = splitByShade(path, colours.length);
    if (byShade.some(isStitched)) {
      return byShade.map((part, i) => {
        const { colour, strands } = colours[i]!;
        return thread(part, colour, strands === pass.strands ? null : ownOf({ thread: pass.thread, strands }));
      });
    }
  }
  const { secondThread, laysThread } = stitchKind(pass.stitch);
  if (secondThread !== null && (pass.second || laysThread)) {
    const [first, second] = splitByShade(path, 2);
    if (first && second && isStitched(first) && isStitched(second)) {
      const own = pass.second && ownOf(pass.second);
      return [thread(first, pass.colour), thread(second, pass.second?.colour ?? pass.colour, own)];
    }
  }
  return [thread(path, pass.shades[0] ?? pass.colour)];
}

function ownThread(
  { thread, strands }: { thread: ThreadId; strands: number },
  needle: Needle,
  settings: WorkSettings,
): OwnThread {
  const kind = threadKind(thread);
  return {
    thread,
    strands,
    laidMm: laidWidthMm(kind, strands) * settings.own.width,
    bundleMm: bundleDiameterMm(kind, strands),
    needle,
  };
}

/** The needles of a pass and of those of its threads that have another. */
function withOwnNeedles(needles: readonly Needle[], threads: readonly WorkedThread[]): readonly Needle[] {
  const all = [...needles];
  for (const { own } of threads) {
    const isNew = own && !all.some(({ family, size }) => family === own.needle.family && size === own.needle.size);
    if (isNew) all.push(own.needle);
  }
  return all;
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
    edgeInsetMm: below.edgeInsetMm,
  };
}
