import { passesAsWorked, type PlannedPart, USUAL_FACTORS } from '@junctura/core/work';
import { canWork } from '@junctura/core/propose';
import {
  atLevelAlone,
  Planner,
  planLevels,
  richVersion,
  shadesOwned,
  simpleVersion,
  withinHours,
  type Version,
  type VersionWays,
  type WithinHours,
  type Workings,
} from '@junctura/core/advice';
import { labOf } from '@junctura/core/colour';
import {
  centred,
  designCircle,
  fitToHoop,
  isTooLarge,
  LARGEST_PART_MM,
  isBareDrawing,
  readSvg,
  tidy,
  type Raster,
  type Tidied,
} from '@junctura/core/drawing';
import { boxOf, flattenPath } from '@junctura/core/geometry';
import {
  AIR_MM,
  DEFAULT_THREAD,
  EMPTY_BOX,
  strandFault,
  threadKind,
  type Shade,
  type ThreadBox,
} from '@junctura/core/materials';
import { failure, success, type Outcome } from '@junctura/core/measure';
import { NO_PICTURES, type Pictures } from '@junctura/core/painting';
import {
  applyEdit,
  plainHoop,
  plainPass,
  readPiece,
  takeShades,
  type Part,
  type Pass,
  type Piece,
} from '@junctura/core/piece';
import { paramKey, stitchKind } from '@junctura/core/stitches';
import { laidPictures, pageOf, painted, pieceOfPicture, withPictureBelow, type Page } from './paint.ts';
import { paramsFor, type PlanOptions } from './options.ts';
import * as say from './words.ts';

/** A piece as it was planned, and the pictures that it is painted from. */
export interface Planned {
  readonly piece: Piece;
  readonly workings: Workings;
  readonly pictures: Pictures;
  /** What of its drawing was tidied. */
  readonly tidied: readonly Tidied[];
  /** The threads that are there; empty: none are known of. */
  readonly box: ThreadBox;
  /** What the hours that were asked for cut off, and what one more would give; null: none were asked for. */
  readonly within: Pick<WithinHours, 'withinHours' | 'less' | 'nextHour'> | null;
}

const USUAL_HOOP_MM = 150;
const FLAT_MM = 0.2;

/**
 * Plans the text of an SVG drawing or of a piece file as asked.
 * @param picture what a part is painted from, where that was asked for
 * @param own the pictures that the piece itself brings
 */
export function planText(
  text: string,
  options: PlanOptions,
  picture: Raster | null = null,
  own: Pictures = NO_PICTURES,
  box: ThreadBox = EMPTY_BOX,
): Outcome<Planned> {
  const read = readAsked(text, options, picture);
  if (!read.ok) return read;
  if (read.value.drawing.parts.length === 0) return failure('The piece has nothing in it to stitch.');
  const drawn = placed(applySettings(read.value, options), options);
  const { piece, tidied } =
    options.asDrawn || options.paint || !isDrawing(text) || !isBareDrawing(text)
      ? { piece: drawn, tidied: [] }
      : tidy(drawn);
  const planner = new Planner();
  const shown = piece.drawing.parts.filter((part) => part.shown);
  if (shown.length > 0 && shown.every((part) => isTooLarge(part, piece.placement))) {
    return failure(say.tooLarge(LARGEST_PART_MM / 1000));
  }
  const roomy = options.fit ? withRoomForRaised(piece, planner, options.seed) : piece;
  const proposed = planner.plan(roomy, USUAL_FACTORS, { seed: options.seed, pictures: own });
  const asked = withAskedPasses(roomy, proposed, options);
  if (!asked.ok) return asked;
  const pictures = picture ? laidPictures(picture) : own;
  const { paint, seed } = options;
  const chosen = picture && paint ? painted(asked.value, pictures, paint, seed) : asked;
  if (!chosen.ok) return chosen;
  const inOwn = inOwnShades(chosen.value, box);
  const version = asMuchAs(inOwn, options, { own: USUAL_FACTORS, pictures, planner });
  const workings = planner.plan(version?.piece ?? inOwn, USUAL_FACTORS, { seed, pictures });
  const within = version && 'less' in version ? (version as WithinHours) : null;
  return success({ piece: version?.piece ?? inOwn, workings, pictures, tidied, box, within });
}

/** The version that was asked for; null: none was. */
function asMuchAs(piece: Piece, { level, withinHours: hours }: PlanOptions, ways: VersionWays): Version | null {
  if (hours !== null) return withinHours(planLevels(piece, ways), hours, ways);
  if (level === null) return null;
  if (level === 'usual') return atLevelAlone(piece, 'usual', ways);
  const levels = planLevels(piece, ways);
  return level === 'simple' ? simpleVersion(levels, ways) : richVersion(levels, ways);
}

/** A piece in the threads that are there, where any are. */
function inOwnShades(piece: Piece, { entries }: ThreadBox): Piece {
  if (entries.length === 0) return piece;
  const owned = entries.map(({ shade }): Shade => ({ ...shade, lab: labOf(shade.hex) }));
  const edit = takeShades(piece, shadesOwned(piece.palette, owned), 'Use threads that are there');
  const outcome = edit ? applyEdit(piece, edit) : success(piece);
  return outcome.ok ? outcome.value : piece;
}

const isDrawing = (text: string): boolean => !/^[\uFEFF\s]*\{/.test(text);

/** The piece that a file holds; a picture alone is a piece of one part. */
function readAsked(text: string, options: PlanOptions, picture: Raster | null): Outcome<Piece> {
  const name = options.file.replace(/^.*[\\/]/, '');
  if (picture && options.paint?.isWholePicture) {
    const piece = pieceOfPicture(picture, name);
    return success(withPictureBelow(piece, picture, pageOfParts(piece)));
  }
  const isSvg = isDrawing(text);
  const read = isSvg ? readSvg(text, 'drawing', name) : readPiece(text);
  if (!read.ok || !picture) return read;
  const page = isSvg ? pageOf(text, read.value.drawing.unitMm) : null;
  return success(withPictureBelow(read.value, picture, page ?? pageOfParts(read.value)));
}

/** Without a word of its page, a drawing is as large as what is in it. */
function pageOfParts(piece: Piece): Page {
  const points = boxOf(piece.drawing.parts.flatMap(({ path }) => flattenPath(path, FLAT_MM).map((run) => run.points)));
  const { minX, minY, maxX, maxY } = points ?? { minX: 0, minY: 0, maxX: 1, maxY: 1 };
  return { xMm: minX, yMm: minY, widthMm: maxX - minX, heightMm: maxY - minY };
}

function applySettings(piece: Piece, { cloth, slack, order, use }: PlanOptions): Piece {
  const { worker } = piece;
  return {
    ...piece,
    use: use ?? piece.use,
    cloth: cloth === null ? piece.cloth : { ...piece.cloth, kind: cloth },
    worker: {
      ...worker,
      slack: slack ?? worker.slack,
      ...(order && {
        byArea: order.by === 'area' ? 1 : 0,
        needles: order.needles ?? worker.needles,
        focus: order.focus ?? worker.focus,
        outline: order.outline ?? worker.outline,
        sittingMin: order.sittingMin ?? worker.sittingMin,
      }),
    },
  };
}

/** Hoop and size: everything stays where it is unless a size is asked for. */
function placed(piece: Piece, { hoopMm, fit, scale }: PlanOptions): Piece {
  // A hoop that is not asked for otherwise is the piece's, with all that it says of it.
  const airMm = piece.hoop?.airMm ?? AIR_MM.usual;
  const hoop =
    hoopMm === null ? (piece.hoop ?? (fit ? plainHoop(USUAL_HOOP_MM, airMm) : null)) : plainHoop(hoopMm, airMm);
  const circle = designCircle(piece);
  if (!circle) return { ...piece, hoop };
  if (fit && hoop && circle.r > 0) return { ...piece, hoop, placement: fitToHoop(piece, hoop) };
  if (scale === null) return { ...piece, hoop };
  const wanted = scale / (piece.drawing.unitMm * piece.placement.scale);
  return { ...piece, hoop, placement: centred(piece.placement, circle, wanted) };
}

/** How often a fitted design is drawn in, until its raised work has room. */
const MOST_FITS = 5;

/** A fitted design whose raised work comes too near to the ring is fitted again, a little smaller, until that has the air that it wants. */
function withRoomForRaised(piece: Piece, planner: Planner, seed: number): Piece {
  let fitted = piece;
  let airMm = piece.hoop?.airMm ?? 0;
  for (let i = 0; i < MOST_FITS; i++) {
    const { findings } = planner.plan(fitted, USUAL_FACTORS, { seed });
    const near = findings.find((finding) => finding.id === 'near-ring');
    if (!piece.hoop || near?.id !== 'near-ring' || !near.figures.raised) return fitted;
    airMm += near.figures.wantedMm - near.figures.clearMm;
    fitted = { ...piece, placement: fitToHoop(piece, { ...piece.hoop, airMm }) };
  }
  return fitted;
}

/** The passes as asked for, written into the piece. */
function withAskedPasses(piece: Piece, { plan }: Workings, options: PlanOptions): Outcome<Piece> {
  const { stitch, thread, strands, angleDeg, params } = options;
  if (stitch === null && thread === null && strands === null && angleDeg === null && params.size === 0) {
    return success(piece);
  }
  const usedParams = new Set<string>();
  const parts: Part[] = [];
  for (const planned of plan.parts) {
    const passes: Pass[] = [];
    for (const pass of askedStitch(planned, stitch)) {
      const asked = paramsFor(pass.stitch, params);
      if (!asked.ok) return asked;
      for (const name of params.keys()) {
        if (paramKey(stitchKind(pass.stitch).params, name) !== undefined) usedParams.add(name);
      }
      const changed: Pass = {
        ...pass,
        thread: thread ?? pass.thread,
        strands: strands ?? pass.strands,
        ...(angleDeg !== null && stitchKind(pass.stitch).hasDirection ? { angleDeg, direction: 'straight' } : {}),
        params: { ...pass.params, ...asked.value },
      };
      if (thread !== null && strands === null) changed.strands = fewerStrands(changed);
      const problem = strandFault(threadKind(changed.thread), changed.strands);
      if (problem) return failure(problem);
      passes.push(changed);
    }
    parts.push({ ...planned.part, passes });
  }
  for (const key of params.keys()) {
    if (!usedParams.has(key)) return failure(`--param ${key}: no stitch of this plan has such a parameter`);
  }
  return success({ ...piece, drawing: { ...piece.drawing, parts } });
}

/** Without a word about strands, as many as the thread can give. */
function fewerStrands(pass: Pass): number {
  let { strands } = pass;
  while (strands > 1 && strandFault(threadKind(pass.thread), strands)) strands--;
  return strands;
}

function askedStitch(planned: PlannedPart, stitch: PlanOptions['stitch']): Pass[] {
  const own = passesAsWorked(planned);
  if (stitch === null || !planned.placed.box || !canWork(stitch, planned.placed)) return own;
  const fillings = own.filter(({ role }) => role === 'filling');
  const proposed = fillings.find((pass) => pass.stitch === stitch);
  return [proposed ?? plainPass(stitch, fillings[0]?.thread ?? DEFAULT_THREAD)];
}
