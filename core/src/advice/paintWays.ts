import { channelsOf } from '../colour/index.ts';
import { pictureOnCloth, readPicture, ShapePlacer, shrunk, WHOLE } from '../drawing/index.ts';
import { intersect, pathData, regionArea } from '../geometry/index.ts';
import { DEFAULT_THREAD, nearestShade, refOf, type ShadeRef } from '../materials/index.ts';
import { groundBelow, judgePainting, pictureBelow, type PaintingReport, type Pictures } from '../painting/index.ts';
import { applyEdit, colourName, newColour, newPart, plainPass, planInput, type Piece } from '../piece/index.ts';
import { MoveRecorder } from '../stitches/index.ts';
import { judgePainted, paintPart, type OwnFactors, type PlannedPart } from '../work/index.ts';
import { Planner, type Workings } from './planner.ts';

/** What one way to work a part from the picture below it comes to, the part alone. */
export interface PaintWay {
  readonly kind: 'painted' | 'flat';
  readonly shades: number;
  readonly report: PaintingReport;
  readonly stitches: number;
  readonly threadM: number;
  readonly skeins: number;
  readonly hours: { readonly p10: number; readonly p50: number; readonly p90: number };
}

/** A way as it was tried: what it comes to, and the piece with that part alone. */
export interface TriedPaintWay {
  readonly way: PaintWay;
  readonly piece: Piece;
  readonly workings: Workings;
}

/** A part painted in some shades; null where it can't be. */
export function tryPainted(
  piece: Piece,
  planned: PlannedPart,
  shades: readonly ShadeRef[],
  own: OwnFactors,
  pictures: Pictures,
): TriedPaintWay | null {
  const alone = { ...piece, drawing: { ...piece.drawing, parts: [planned.part] } };
  const edit = paintPart(alone, planned, shades);
  const outcome = edit && applyEdit(alone, edit);
  if (!outcome?.ok) return null;
  const planner = new Planner();
  const workings = planner.plan(planInput(outcome.value), own, { pictures });
  const report = judgePainted(outcome.value, workings.plan.parts[0]!, pictures, planner.memory);
  return report && { way: wayOf('painted', shades.length, report, workings), piece: outcome.value, workings };
}

/** Areas smaller than this are given to their neighbours, mm², and borders may leave the picture this far, mm. */
const FLAT = { leastMm2: 6, smoothMm: 0.4 } as const;
/** Flat regions hold no more than this shows, px. */
const FLAT_PX = 480;

/** A part cut up into regions, each filled in one of some flat colours, in one strand; null where it can't be. */
export function tryFlat(
  piece: Piece,
  planned: PlannedPart,
  colours: number,
  own: OwnFactors,
  pictures: Pictures,
): TriedPaintWay | null {
  const { underlay } = piece.drawing;
  const below = pictureBelow(piece, pictures);
  const { region } = planned.placed.shape;
  if (!underlay || !below) return null;
  const options = {
    ...FLAT,
    as: 'colours',
    corners: WHOLE,
    widthMm: underlay.widthPx * underlay.mmPerPx,
    colours,
    darkness: 0.5,
    leavesGround: false,
  } as const;
  const read = readPicture(shrunk(below.picture, FLAT_PX), options, null, piece.id, piece.name);
  if (!read.ok) return null;
  const [, , , , xMm, yMm] = pictureOnCloth(piece.placement, underlay);
  // None hides another: nothing is to be cut.
  const drawing = { ...read.value.drawing, hidden: 'keep' } as const;
  const laid = { ...read.value, drawing, placement: { ...piece.placement, xMm, yMm } };
  const shapes = new ShapePlacer().place(planInput(laid));
  // On the cloth as it lies: what of each region is within the part.
  const parts = laid.drawing.parts.flatMap((part, i) => {
    const within = intersect(shapes[i]!.shape.region, region);
    if (regionArea(within) < FLAT.leastMm2 / 10) return [];
    const path = within.map((ring) => pathData({ points: ring, closed: true })).join('');
    return [
      newPart({ ...part, path, group: null, fillRule: 'nonzero', passes: [plainPass('brick', DEFAULT_THREAD, 1)] }),
    ];
  });
  const flat: Piece = {
    ...piece,
    placement: { ...piece.placement, scale: 1, turnDeg: 0, mirrored: false, xMm: 0, yMm: 0 },
    palette: laid.palette.map(({ id, hex }) => newColour({ id, hex, shade: refOf(nearestShade(hex).item) })),
    drawing: { ...drawing, parts, underlay: null },
  };
  const workings = new Planner().plan(planInput(flat), own);
  const passes = workings.plan.parts.flatMap(({ part, passes: own }) => own.map((pass) => ({ part, pass })));
  const [first] = passes;
  const ground = first && groundBelow(region, below, first.pass.laidMm);
  if (!ground) return null;
  const recorder = new MoveRecorder();
  for (const { part, pass } of passes) {
    recorder.shade(flat.palette.findIndex(({ id }) => id === part.colour));
    pass.path.starts.forEach((_, stitch) => recorder.copy(pass.path, stitch));
  }
  const report = judgePainting(region, ground, {
    path: recorder.path(),
    shades: flat.palette.map((colour) => channelsOf(colourName(colour).hex)),
    laidMm: first.pass.laidMm,
    cloth: channelsOf(piece.cloth.colour),
  });
  return { way: wayOf('flat', report.shades, report, workings), piece: flat, workings };
}

function wayOf(kind: PaintWay['kind'], shades: number, report: PaintingReport, { plan }: Workings): PaintWay {
  const { stitches, threadMm, skeins90, hours } = plan.totals;
  return { kind, shades, report, stitches, threadM: threadMm / 1000, skeins: skeins90, hours };
}
