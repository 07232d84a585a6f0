import { looseShape, positionsOf, type PlacedShape } from '../drawing/index.ts';
import {
  boxOf,
  ellipseRing,
  placesOf,
  regionArea,
  type Box,
  type Circle,
  type Polyline,
  type Region,
  type Ring,
} from '../geometry/index.ts';
import {
  bearsSoftFusing,
  clothOf,
  innerHalvesMm,
  laidWidthMm,
  SECONDS,
  threadKind,
  type Cloth,
  type Stabiliser,
  type ThreadId,
} from '../materials/index.ts';
import { colourName, colourOf, endOf, plainPass, type End, type Finish, type Piece } from '../piece/index.ts';
import type { StitchId } from '../stitches/index.ts';
import { countLoads, type Plan } from '../thread/index.ts';
import { behindCloth } from '../transfer/index.ts';
import { planPass, workSettings, type OwnFactors, type PlannedPass, type WorkSettings } from '../work/index.ts';
import type {
  Amounts,
  FinishLook,
  FinishMaterial,
  FinishProblem,
  FinishStep,
  Template,
  TemplateLine,
  TemplateLineKind,
} from './kinds.ts';
import { drawnOutline } from './drawnOutline.ts';
import { lostMm2 } from './keptOf.ts';
import { WORKED_AREA } from './outlines.ts';
import type { Memory } from '../measure/index.ts';
import * as say from './words.ts';

/** What every end is planned from. */
export interface FinishContext {
  readonly piece: Piece;
  readonly plan: Plan;
  readonly memory: Memory;
  readonly finish: Finish;
  readonly end: End;
  readonly cloth: Cloth;
  /** What lay behind the cloth while it was stitched. */
  readonly behind: Stabiliser;
  readonly worked: Region;
  /** The outline that was drawn to sew along, where one holds all that is worked; null: there is none. */
  readonly drawn: Ring | null;
  readonly box: Box;
  readonly circle: Circle;
  readonly settings: WorkSettings;
  /** The thread and colour of which most is stitched: edges are worked in them. */
  readonly thread: ThreadId;
  readonly colour: string;
}

/** What an end adds to what is done with every piece. */
export interface EndPlan {
  /** Steps that come before everything else, those after the tails and before any water, and those after pressing. */
  readonly first?: readonly FinishStep[];
  readonly anchors?: readonly FinishStep[];
  readonly steps: readonly FinishStep[];
  readonly materials: readonly FinishMaterial[];
  readonly templates: readonly Template[];
  readonly problems: readonly FinishProblem[];
  readonly look: FinishLook;
  /** The piece of the stitched cloth that it takes, across and upright, mm; null: any that holds the work. */
  readonly clothMm?: readonly [number, number];
}

/** null where nothing is stitched yet. */
export function contextOf(piece: Piece, plan: Plan, own: OwnFactors, memory: Memory): FinishContext | null {
  const worked = memory.made(WORKED_AREA, [], plan);
  const box = boxOf(worked);
  const { circle } = plan.design;
  // What is only printed or laid on has no thread in which an edge could be worked.
  const [most] = [...plan.colours].sort((a, b) => b.threadMm - a.threadMm);
  if (!box || !circle || !most || regionArea(worked) <= 0) return null;
  const { edgeColour } = piece.finish;
  const isThere = piece.palette.some(({ id }) => id === edgeColour);
  return {
    piece,
    plan,
    memory,
    finish: piece.finish,
    end: endThatHolds(piece, worked),
    cloth: clothOf(piece.cloth.kind),
    behind: behindCloth(piece, plan).stabiliser,
    worked,
    drawn: drawnOutline(plan, worked),
    box,
    circle,
    settings: workSettings(piece, 1, own),
    thread: most.thread,
    colour: isThere ? edgeColour! : most.colour,
  };
}

/** What a piece ends as, where nothing was chosen: what is usual for its use, but a board for what is larger than the hoop it would hang in. */
function endThatHolds(piece: Piece, worked: Region): End {
  const usual = endOf(piece);
  if (piece.finish.end !== null || usual !== 'framed' || !piece.hoop) return usual;
  const [x, y] = positionsOf(piece)[0]!;
  return lostMm2(worked, [ellipseRing(x, y, ...innerHalvesMm(piece.hoop))]) > 0 ? 'board' : usual;
}

/**
 * Across and upright of a cloth with a worked edge, mm: as it was set, else as large as holds the design with its margin, a rectangle, a circle
 * or an oval of the design's own proportions.
 */
export function edgedSize({ finish, worked, box, circle }: FinishContext): readonly [number, number] {
  if (finish.sizeMm) return finish.sizeMm;
  const margin = finish.marginMm ?? USUAL_LENGTHS.whitework.marginMm;
  const [width, height] = [box.maxX - box.minX, box.maxY - box.minY];
  const wide = (mm: number): number => Math.ceil(mm + 2 * margin);
  if (finish.clothShape === 'round') return [wide(2 * circle.r), wide(2 * circle.r)];
  if (finish.clothShape === 'rectangle') return [wide(width), wide(height)];
  const [x, y] = middleOfBox(box);
  const reach = worked.reduce((most, ring) => {
    for (const [px, py] of placesOf(ring)) most = Math.max(most, Math.hypot((px - x) / width, (py - y) / height));
    return most;
  }, 0);
  return [wide(2 * reach * width), wide(2 * reach * height)];
}

/** A colour of the palette as it is seen. */
export function hexOf({ piece }: FinishContext, colour: string): string {
  return colourName(colourOf(piece, colour)).hex;
}

/** Strands of an edge that must stand wear. */
const EDGE_STRANDS = 3;

export interface WorkedEdge {
  readonly pass: PlannedPass;
  readonly amounts: Amounts;
  readonly seconds: number;
  readonly material: FinishMaterial;
}

/**
 * Works edges as a needle would, through all layers, and counts their thread, loads and time.
 * @param paramsOf the stitch's parameters, by the width of the thread as it lies, mm
 */
export function workEdge(
  context: FinishContext,
  lines: readonly Polyline[],
  stitch: StitchId,
  paramsOf: (laidMm: number) => Readonly<Record<string, number | string>>,
  throughMm: number,
): WorkedEdge {
  const shape = { region: [], lines, spots: new Float64Array(0) };
  return workOf(context, looseShape('edge', 'line', shape), stitch, paramsOf, throughMm);
}

/** Works French knots at some places (flat x, y pairs, mm) in the thread of the edge. */
export function workKnots(context: FinishContext, places: Float64Array, throughMm: number): WorkedEdge {
  const shape = { region: [], lines: [], spots: places };
  // From knot to knot the thread slides under the back of the edge.
  const sliding = { ...context, settings: { ...context.settings, travelMm: Infinity } };
  return workOf(sliding, looseShape('knots', 'spot', shape), 'french', () => ({}), throughMm);
}

function workOf(
  { thread, settings, piece, colour }: FinishContext,
  shape: PlacedShape,
  stitch: StitchId,
  paramsOf: (laidMm: number) => Readonly<Record<string, number | string>>,
  throughMm: number,
): WorkedEdge {
  const kind = threadKind(thread);
  const strands = Math.min(EDGE_STRANDS, kind.strands);
  const pass = {
    ...plainPass(stitch, thread, strands),
    params: { ...paramsOf(laidWidthMm(kind, strands) * settings.own.width) },
    angleDeg: 0,
    reason: '',
    colour,
  };
  const planned = planPass(shape, pass, { ...settings, clothMm: throughMm });
  const { worker } = piece;
  const [worked] = planned.threads;
  const { loads, cutMm } = countLoads([{ ...worked!, pass: planned }], {
    cutMm: worker.cutMm,
    startMm: START_MM,
    travelMm: settings.travelMm,
  });
  const { quantities } = planned;
  const wholeMm = (loads * cutMm * planned.strands) / kind.strands;
  return {
    pass: planned,
    amounts: {
      stitches: quantities.stitches,
      threadMm: quantities.threadMm,
      cutMm: loads * cutMm,
      loads,
      skeins: Math.ceil(wholeMm / 1000 / kind.putUpM),
    },
    seconds: quantities.seconds + loads * (SECONDS.thread + SECONDS.fastenOff),
    material: {
      id: 'edge-thread',
      name: say.edgeThread(kind.name),
      quantity: wholeMm,
      unit: 'mm',
      sizeMm: null,
      goods: null,
      thread: { colour, kind: thread, loads },
    },
  };
}

/** A length is begun along the edge under the first stitches, mm. */
const START_MM = 40;

/** The ends of thread behind a piece: one where each length starts and one where it stops, also where it is fastened off to go on elsewhere. */
export function threadEnds({ work }: Plan): number {
  return work.reduce((sum, step) => sum + (step ? 2 * (step.loads + step.rethreadings + step.restarts) : 0), 0);
}

/** How what is behind the work is held: as it was chosen, else fused on cotton knits, as sewing would hold back their stretch. */
export function backingOf({ finish, cloth }: Pick<FinishContext, 'finish' | 'cloth'>): 'sewn' | 'fusible' {
  return finish.backing ?? (cloth.weave === 'knit' && bearsSoftFusing(cloth) ? 'fusible' : 'sewn');
}

/** Web needs a hot iron, soft backing on a knit only a warm one; cloth that doesn't bear it gets them sewn on instead. */
export function isFused(context: FinishContext): boolean {
  const { cloth, end } = context;
  return backingOf(context) === 'fusible' && (end === 'patch' ? cloth.iron === 'hot' : bearsSoftFusing(cloth));
}

export function fusingProblems(context: FinishContext): FinishProblem[] {
  const { cloth } = context;
  if (backingOf(context) !== 'fusible' || isFused(context)) return [];
  const text = say.sewnInstead(cloth.inSentence, cloth.iron === 'warm');
  return [{ id: 'no-iron', stops: false, text }];
}

/** What is usual for an end where nothing was set, mm: room round the design, and what a seam takes. */
export const USUAL_LENGTHS = {
  framed: {},
  board: { marginMm: 25 },
  patch: {},
  ornament: { marginMm: 8, seamMm: 6 },
  card: {},
  cushion: { marginMm: 40, seamMm: 15 },
  garment: {},
  whitework: { marginMm: 40 },
  hemmed: {},
} as const satisfies Readonly<Record<End, { readonly marginMm?: number; readonly seamMm?: number }>>;

export function middleOfBox({ minX, minY, maxX, maxY }: Box): readonly [number, number] {
  return [(minX + maxX) / 2, (minY + maxY) / 2];
}

/** Cloth, card and other flat things, by their number and size. */
export function sheet(
  id: string,
  name: string,
  [width, height]: readonly [number, number],
  { quantity = 1, goods = null as string | null } = {},
): FinishMaterial {
  return { id, name, quantity, unit: 'pieces', sizeMm: [Math.ceil(width), Math.ceil(height)], goods, thread: null };
}

/** Something that is needed in some quantity. */
export function amount(id: string, name: string, quantity: number, unit: FinishMaterial['unit']): FinishMaterial {
  return { id, name, quantity, unit, sizeMm: null, goods: null, thread: null };
}

export const sewingThread = (mm: number): FinishMaterial => amount('sewing-thread', 'Sewing thread', mm, 'mm');

/** A ring of a template: what its line says, all round. */
export function ringLine(kind: TemplateLineKind, points: Ring): TemplateLine {
  return { kind, line: { points, closed: true } };
}

/** A look in which nothing but the outline is set. */
export function plainLook(form: Region, ground: FinishLook['ground']): FinishLook {
  return { form, ground, edges: [], heights: null, lines: [], frame: null, isHooped: false };
}

export const WALL: FinishLook['ground'] = { kind: 'wall', cloth: null, colour: '#d9d2c3' };
export const TABLE: FinishLook['ground'] = { kind: 'table', cloth: null, colour: '#8b6f52' };

/** Cautions at their step. The maker's sheet and local rules come first everywhere. */
export const CAUTIONS = {
  iron: say.IRON_BURNS,
  glue: 'Use glue only with a window open, away from flames and skin. Follow the maker’s sheet first.',
  scissors: 'Cut away from the other hand; close scissors and rippers before you lay them down.',
  pins: 'Count pins and needles out and back in.',
  blade:
    'Cut card on a mat along a steel ruler, with a sharp blade and your other hand out of the way; put blades back in their guard.',
  children:
    'Not for children under three: cords can strangle, and small parts can come loose and be swallowed. Local rules for toys come first.',
} as const;
