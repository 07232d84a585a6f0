import { circleAround, clearInHoopMm, pointsOf, positionsOf, type PlacedShape } from '../drawing/index.ts';
import { boxOf, type Box, type Circle } from '../geometry/index.ts';
import { labOf, mixed } from '../colour/index.ts';
import {
  clothOf,
  FOLDED_STRANDS,
  innerDiameterMm,
  nearestShade,
  SECONDS,
  threadKind,
  travelBehindMm,
  WORKING_LENGTH,
  type ShadeRef,
} from '../materials/index.ts';
import type { PaletteColour, Part, Piece } from '../piece/index.ts';
import { countLoads } from './loads.ts';
import { shareCuts } from './cuts.ts';
import { cutOdds, hourOdds, type Odds } from './odds.ts';
import { NOTHING_BELOW } from './layers.ts';
import {
  planPass,
  withPass,
  type PlannedPass,
  type SettledPass,
  type WorkedThread,
  type WorkSettings,
} from './planPass.ts';

export interface PlannedPart {
  readonly part: Part;
  readonly placed: PlacedShape;
  readonly passes: readonly PlannedPass[];
}

/** What one colour takes. Lengths are of the needle thread; strand-metres are of single strands. */
export interface ColourNeed {
  readonly id: string;
  /** The id in the palette: a colour worked in several threads has a need for each. */
  readonly colour: string;
  readonly name: string;
  readonly hex: string;
  readonly thread: string;
  readonly stitches: number;
  readonly frontMm: number;
  readonly backMm: number;
  readonly wrapMm: number;
  readonly throughMm: number;
  readonly slackMm: number;
  readonly threadMm: number;
  readonly strandMetres: number;
  /** Lost in starts, ends and remainders. */
  readonly lostMm: number;
  readonly loads: number;
  readonly cuts: number;
  readonly cutMm: number;
  readonly strandsKept: number;
  readonly skeins: Odds;
}

export interface Plan {
  readonly design: {
    readonly widthMm: number;
    readonly heightMm: number;
    readonly scaleMmPerUnit: number;
    readonly circle: Circle | null;
    readonly box: Box | null;
  };
  readonly hoop: { readonly nominalMm: number; readonly innerMm: number; readonly clearMm: number } | null;
  readonly parts: readonly PlannedPart[];
  readonly colours: readonly ColourNeed[];
  readonly totals: {
    readonly stitches: number;
    readonly threadMm: number;
    readonly hours: { readonly p10: number; readonly p50: number; readonly p90: number };
    readonly skeins90: number;
  };
}

/** Works the passes of a piece, and keeps them: only what an edit touches is worked again. */
export class PassWorker {
  private kept = new Map<string, { placed: PlacedShape; key: string; planned: PlannedPass }>();

  work(placed: PlacedShape, passes: readonly SettledPass[], settings: WorkSettings): PlannedPass[] {
    const shared = JSON.stringify(settings);
    let below = NOTHING_BELOW;
    return passes.map((pass, i) => {
      const slot = `${placed.partId}#${i}`;
      const key = shared + JSON.stringify([pass, below]);
      const before = this.kept.get(slot);
      const isSame = before?.placed === placed && before.key === key;
      const planned = isSame ? before.planned : planPass(placed, pass, settings, below);
      if (!isSame) this.kept.set(slot, { placed, key, planned });
      below = withPass(below, placed, planned);
      return planned;
    });
  }
}

/** The person's own hand where nothing was measured: as usual. */
export const USUAL_HAND = { width: 1, stitch: 1 } as const;

/** @param own the person's figures, where the piece has none of its own */
export function workSettings(piece: Piece, seed: number, own: WorkSettings['own'] = USUAL_HAND): WorkSettings {
  const cloth = clothOf(piece.cloth.kind)!;
  return {
    clothMm: cloth.thicknessMm,
    slack: piece.worker.slack,
    travelMm: travelMm(piece),
    satinFrom: piece.worker.satinFrom,
    hand: piece.worker.hand,
    own: piece.worker.own ?? own,
    seed,
  };
}

/** How far thread is carried behind the cloth of a piece. */
function travelMm({ cloth }: Piece): number {
  return travelBehindMm(clothOf(cloth.kind)!, labOf(cloth.colour).l);
}

/** Everything that is computed of a piece from its worked parts. */
export function sumUp(piece: Piece, parts: readonly PlannedPart[]): Plan {
  const shapes = parts.map((planned) => planned.placed);
  const box = boxOf(shapes.flatMap((placed) => [...pointsOf(placed.shape)]));
  const circle = circleAround(shapes);
  const groups = needleGroups(piece, parts);
  const threadsOf = new Map<string, number>();
  for (const { colourId } of groups.values()) threadsOf.set(colourId, (threadsOf.get(colourId) ?? 0) + 1);
  const colours = [...groups.values()].map((group) => colourNeed(piece, group, threadsOf.get(group.colourId) === 1));
  const passes = parts.flatMap((planned) => planned.passes);
  const sum = (pick: (pass: PlannedPass) => number): number => passes.reduce((total, pass) => total + pick(pass), 0);
  return {
    design: {
      widthMm: box ? box.maxX - box.minX : 0,
      heightMm: box ? box.maxY - box.minY : 0,
      scaleMmPerUnit: piece.drawing.unitMm * piece.placement.scale,
      circle,
      box,
    },
    hoop: hoopRoom(piece, shapes),
    parts,
    colours: colours.map((colour) => colour.need),
    totals: {
      stitches: sum((pass) => pass.quantities.stitches),
      threadMm: sum((pass) => pass.quantities.threadMm),
      hours: hourOdds((sum((pass) => pass.quantities.seconds) + colours.reduce((s, c) => s + c.seconds, 0)) / 3600),
      skeins90: colours.reduce((total, { need }) => total + need.skeins.p90, 0),
    },
  };
}

function hoopRoom(piece: Piece, shapes: readonly PlacedShape[]): Plan['hoop'] {
  if (!piece.hoop) return null;
  const points = shapes.flatMap(({ shape }) => [...pointsOf(shape)]);
  const clearMm = clearInHoopMm(points, piece.hoop, positionsOf(piece));
  return { nominalMm: piece.hoop.nominalMm, innerMm: innerDiameterMm(piece.hoop.nominalMm), clearMm };
}

/** A path in one colour with the thread that it is worked in. */
export interface NeedleRun extends WorkedThread {
  readonly pass: PlannedPass;
}

interface NeedleGroup {
  readonly colourId: string;
  readonly thread: string;
  readonly byStrands: Map<number, NeedleRun[]>;
}

/** Paths by colour and kind of thread, in the order of the palette, each by strand count. */
function needleGroups(piece: Piece, parts: readonly PlannedPart[]): Map<string, NeedleGroup> {
  const groups = new Map<string, NeedleGroup>();
  const byColour = new Map<string, NeedleRun[]>(piece.palette.map(({ id }) => [id, []]));
  for (const { part, passes } of parts) {
    for (const pass of passes) {
      for (const thread of pass.threads) byColour.get(thread.colour ?? part.colour)?.push({ ...thread, pass });
    }
  }
  for (const [colourId, runs] of byColour) {
    for (const run of runs) {
      const { thread, strands } = run.pass;
      const key = `${colourId}|${thread}`;
      const group = groups.get(key) ?? { colourId, thread, byStrands: new Map() };
      groups.set(key, group);
      const alike = group.byStrands.get(strands) ?? [];
      group.byStrands.set(strands, alike);
      alike.push(run);
    }
  }
  return groups;
}

function colourNeed(piece: Piece, group: NeedleGroup, isOnlyThread: boolean): { need: ColourNeed; seconds: number } {
  const kind = threadKind(group.thread)!;
  const settings = {
    cutMm: piece.worker.cutMm,
    startMm: WORKING_LENGTH.startMm[piece.worker.start],
    travelMm: travelMm(piece),
  };
  const runs = [...group.byStrands.values()].flat();
  const sum = (pick: (run: NeedleRun) => number): number => runs.reduce((total, run) => total + pick(run), 0);
  const loadsOf: number[] = new Array<number>(FOLDED_STRANDS + 1).fill(0);
  let [loads, restarts, lostMm] = [0, 0, 0];
  for (const [strands, group_] of group.byStrands) {
    const counted = countLoads(group_, settings);
    loadsOf[strands] = counted.loads;
    loads += counted.loads;
    restarts += counted.restarts;
    lostMm += counted.lostMm;
  }
  const foldedCuts = loadsOf[FOLDED_STRANDS]!;
  const shared = shareCuts(loadsOf.slice(0, kind.strands + 1), kind.strands);
  const cuts = shared.cuts + foldedCuts;
  const skeinsPerCut = (cutMm: number): number => 1 / Math.max(1, Math.floor((kind.putUpM * 1000) / cutMm));
  const wholeCuts = shared.cuts * skeinsPerCut(settings.cutMm) + foldedCuts * skeinsPerCut(WORKING_LENGTH.foldedCutMm);
  const odds = cutOdds(wholeCuts, loads);
  const skeins = (share: number): number => (cuts === 0 ? 0 : Math.max(1, Math.ceil(share - 1e-9)));
  const colour = piece.palette.find(({ id }) => id === group.colourId)!;
  const bareMm = sum((p) => p.quantities.threadMm) / (1 + piece.worker.slack);
  return {
    need: {
      id: isOnlyThread ? colour.id : `${colour.id}-${group.thread}`,
      colour: colour.id,
      ...colourName(colour),
      thread: group.thread,
      stitches: sum((p) => p.quantities.stitches),
      frontMm: sum((p) => p.quantities.frontMm),
      backMm: sum((p) => p.quantities.backMm),
      wrapMm: sum((p) => p.quantities.wrapMm),
      throughMm: sum((p) => p.quantities.throughMm),
      slackMm: bareMm * piece.worker.slack,
      threadMm: sum((p) => p.quantities.threadMm),
      strandMetres: sum((p) => (p.quantities.threadMm * p.pass.strands) / 1000),
      lostMm,
      loads,
      cuts,
      cutMm: settings.cutMm,
      strandsKept: shared.strandsKept,
      skeins: { p50: skeins(odds.p50), p90: skeins(odds.p90), p95: skeins(odds.p95) },
    },
    seconds: loads * (SECONDS.thread + SECONDS.fastenOff) + restarts * SECONDS.fastenOff + SECONDS.changeColour,
  };
}

/** Whether a colour is worked in a part: in one of its layers or shades. */
export function usesColour({ part, passes }: PlannedPart, colourId: string): boolean {
  return passes.some(({ threads }) => threads.some(({ colour }) => (colour ?? part.colour) === colourId));
}

/** What a colour is worked in: the shade that was chosen, or the one that it is nearest to; a second where two share the needle. */
export function shadesOf({ hex, shade, second }: PaletteColour): { first: ShadeRef; second: ShadeRef | null } {
  return { first: shade ?? nearestShade(hex).item, second };
}

/** A colour by its shade, or by the shade that it is nearest to. */
export function colourName({ hex, shade, second }: PaletteColour): { name: string; hex: string } {
  if (shade && second) {
    return { name: `${shade.name} with ${second.name}`, hex: mixed(shade.hex, second.hex) };
  }
  if (shade) return { name: `${shade.name} (${shade.code})`, hex: shade.hex };
  const { item } = nearestShade(hex);
  return { name: `near ${item.name} (${item.code})`, hex };
}
