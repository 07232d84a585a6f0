import { looseShape, positionsOf } from '../drawing/index.ts';
import {
  boxOf,
  ellipseRing,
  regionArea,
  type Box,
  type Circle,
  type Polyline,
  type Region,
  type Ring,
} from '../geometry/index.ts';
import {
  clothOf,
  innerHalvesMm,
  laidWidthMm,
  SECONDS,
  threadKind,
  type Cloth,
  type ThreadId,
} from '../materials/index.ts';
import { colourName, colourOf, endOf, plainPass, type End, type Finish, type Piece } from '../piece/index.ts';
import type { StitchId } from '../stitches/index.ts';
import { countLoads, type Plan } from '../thread/index.ts';
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
  readonly worked: Region;
  readonly box: Box;
  readonly circle: Circle;
  readonly settings: WorkSettings;
  /** The thread and colour of which most is stitched: edges are worked in them. */
  readonly thread: ThreadId;
  readonly colour: string;
}

/** What an end adds to what is done with every piece. */
export interface EndPlan {
  /** Steps that come before washing and pressing, and after. */
  readonly first?: readonly FinishStep[];
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
    worked,
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
  const { thread, settings, piece, colour } = context;
  const kind = threadKind(thread);
  const strands = Math.min(EDGE_STRANDS, kind.strands);
  const pass = {
    ...plainPass(stitch, thread, strands),
    params: { ...paramsOf(laidWidthMm(kind, strands) * settings.own.width) },
    angleDeg: 0,
    reason: '',
    colour,
  };
  const shape = { region: [], lines, spots: new Float64Array(0) };
  const planned = planPass(looseShape('edge', 'line', shape), pass, { ...settings, clothMm: throughMm });
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

/** Web and fusible backing melt under a hot iron; cloth that bears only a warm one gets them sewn on instead. */
export function isFused({ finish, cloth }: FinishContext): boolean {
  return finish.backing === 'fusible' && cloth.iron === 'hot';
}

export function fusingProblems(context: FinishContext): FinishProblem[] {
  const { finish, cloth } = context;
  if (finish.backing !== 'fusible' || isFused(context)) return [];
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
