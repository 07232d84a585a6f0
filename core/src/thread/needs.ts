import type { WorkOrder } from '../order/index.ts';
import {
  type ThreadSpread,
  type PlannedPart,
  type PlannedPass,
  type WorkedThread,
  travelMm,
  workedIn,
} from '../work/index.ts';
import { FOLDED_STRANDS, SECONDS, threadKind, WORKING_LENGTH, type ThreadKind } from '../materials/index.ts';
import { Remembered } from '../measure/index.ts';
import { colourName, type PlanInput, colourOf } from '../piece/index.ts';
import type { StitchPath } from '../stitches/index.ts';
import { shareCuts, type Cut } from './cuts.ts';
import { countLoads, type Loads, type LoadSettings } from './loads.ts';
import { needOdds, type Odds } from './odds.ts';

/** One threading of the needle. */
export interface NeedleLoad {
  readonly strands: number;
  /** What it works, in order: parts by their id, with what they take of it, mm. */
  readonly works: readonly { readonly part: string; readonly usedMm: number }[];
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
  /** Metres of the whole thread that are cut off the skein, as planned: what is unpicked comes on top. */
  readonly wholeM: number;
  readonly skeins: Odds;
  /** Every threading of the needle in the order of working, and the cuts that they are drawn out of. */
  readonly loadList: readonly NeedleLoad[];
  readonly cutList: readonly Cut[];
  /** Time for threading, fastening off and changing colour. */
  readonly aroundSeconds: number;
}

/** How the working lengths of a piece are cut. */
export function loadSettings(piece: PlanInput): LoadSettings {
  const { cutMm, start } = piece.worker;
  return { cutMm, startMm: WORKING_LENGTH.startMm[start], travelMm: travelMm(piece) };
}

/** A path in one colour with the thread that it is worked in. */
export interface NeedleRun extends WorkedThread {
  readonly part: string;
  readonly pass: PlannedPass;
  /** Its place among all runs of the piece. */
  readonly order: number;
}

/** All runs of some parts in the order of work, each with the id of its colour. What the order has of other parts is passed over. */
export function needleRuns(parts: readonly PlannedPart[], order: WorkOrder): { colour: string; run: NeedleRun }[] {
  const byId = new Map(parts.map((planned) => [planned.part.id, planned]));
  return order.flatMap(({ part: id, layer, shade }, at) => {
    const planned = byId.get(id);
    const pass = planned?.passes[layer];
    const thread = pass?.threads[shade];
    if (!planned || !pass || !thread) return [];
    return [
      {
        colour: thread.colour ?? planned.part.colour,
        run: { ...thread, part: id, pass: workedIn(pass, thread), order: at },
      },
    ];
  });
}

interface NeedleGroup {
  readonly colourId: string;
  readonly thread: string;
  readonly byStrands: Map<number, NeedleRun[]>;
}

/** Runs by colour and kind of thread, in the order of the palette, each by strand count. */
function needleGroups(piece: PlanInput, parts: readonly PlannedPart[], order: WorkOrder): NeedleGroup[] {
  const groups = new Map<string, NeedleGroup>();
  const byColour = new Map<string, NeedleRun[]>(piece.palette.map(({ id }) => [id, []]));
  for (const { colour, run } of needleRuns(parts, order)) byColour.get(colour)?.push(run);
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
  return [...groups.values()];
}

/** What each colour of a piece takes to work some of its parts, in an order. */
export function colourNeeds(
  piece: PlanInput,
  parts: readonly PlannedPart[],
  order: WorkOrder,
  spread: ThreadSpread,
): ColourNeed[] {
  const groups = needleGroups(piece, parts, order);
  return groups.map((group) => {
    const isOnlyThread = groups.every((other) => other === group || other.colourId !== group.colourId);
    return colourNeed(piece, group, isOnlyThread, spread);
  });
}

interface Threading extends NeedleLoad {
  readonly order: number;
}

/** An edit changes few paths: the loads of all others were counted before. */
const loadsOf = new Remembered<StitchPath, Loads>();

/** Every threading of the needle in the order of working, and what is lost on the way. */
function threadings({ byStrands }: NeedleGroup, settings: LoadSettings) {
  const list: Threading[] = [];
  let [restarts, lostMm] = [0, 0];
  for (const [strands, runs] of byStrands) {
    const counted = loadsOf.get(
      runs.map(({ path }) => path),
      JSON.stringify(settings),
      () => countLoads(runs, settings),
    );
    restarts += counted.restarts;
    lostMm += counted.lostMm;
    for (const portions of counted.portions) {
      const works = new Map<string, number>();
      for (const { run, usedMm } of portions) {
        const { part } = runs[run]!;
        works.set(part, (works.get(part) ?? 0) + usedMm);
      }
      list.push({
        strands,
        works: [...works].map(([part, usedMm]) => ({ part, usedMm })),
        order: runs[portions[0]!.run]!.order,
      });
    }
  }
  return { list: list.sort((a, b) => a.order - b.order), restarts, lostMm };
}

/** The cuts of a thread that loads are drawn out of; a folded load takes a longer cut for itself. */
function cutsFor(loads: readonly NeedleLoad[], kind: ThreadKind): Cut[] {
  const numbers = (isFolded: boolean): number[] =>
    loads.flatMap(({ strands }, i) => ((strands === FOLDED_STRANDS) === isFolded ? [i] : []));
  const plain = numbers(false);
  const shared = shareCuts(
    plain.map((i) => loads[i]!.strands),
    kind.strands,
  );
  return [
    ...shared.map(({ loads: inCut, strandsKept }) => ({ loads: inCut.map((k) => plain[k]!), strandsKept })),
    ...numbers(true).map((i) => ({ loads: [i], strandsKept: 0 })),
  ].sort((a, b) => a.loads[0]! - b.loads[0]!);
}

function colourNeed(piece: PlanInput, group: NeedleGroup, isOnlyThread: boolean, spread: ThreadSpread): ColourNeed {
  const kind = threadKind(group.thread)!;
  const settings = loadSettings(piece);
  const runs = [...group.byStrands.values()].flat();
  const sum = (pick: (run: NeedleRun) => number): number => runs.reduce((total, run) => total + pick(run), 0);
  const { list, restarts, lostMm } = threadings(group, settings);
  const cutList = cutsFor(list, kind);
  const lengthOf = ({ loads }: Cut): number =>
    list[loads[0]!]!.strands === FOLDED_STRANDS ? WORKING_LENGTH.foldedCutMm : settings.cutMm;
  const putUpMm = kind.putUpM * 1000;
  const wholeSkeins = cutList.reduce((total, cut) => total + 1 / Math.max(1, Math.floor(putUpMm / lengthOf(cut))), 0);
  const odds = needOdds(wholeSkeins, list.length, spread);
  const skeins = (share: number): number => (cutList.length === 0 ? 0 : Math.max(1, Math.ceil(share - 1e-9)));
  const colour = colourOf(piece, group.colourId);
  const threadMm = sum((p) => p.quantities.threadMm);
  const bareMm = sum(({ quantities: q }) => q.frontMm + q.backMm + q.wrapMm + q.throughMm);
  const loads = list.length;
  return {
    id: isOnlyThread ? colour.id : `${colour.id}-${group.thread}`,
    colour: colour.id,
    ...colourName(colour),
    thread: group.thread,
    stitches: sum((p) => p.quantities.stitches),
    frontMm: sum((p) => p.quantities.frontMm),
    backMm: sum((p) => p.quantities.backMm),
    wrapMm: sum((p) => p.quantities.wrapMm),
    throughMm: sum((p) => p.quantities.throughMm),
    slackMm: threadMm - bareMm,
    threadMm,
    strandMetres: sum((p) => (p.quantities.threadMm * p.pass.strands) / 1000),
    lostMm,
    loads,
    cuts: cutList.length,
    cutMm: settings.cutMm,
    strandsKept: cutList.reduce((total, { strandsKept }) => total + strandsKept, 0),
    wholeM: cutList.reduce((total, cut) => total + lengthOf(cut), 0) / 1000,
    skeins: { p50: skeins(odds.p50), p90: skeins(odds.p90), p95: skeins(odds.p95) },
    loadList: list.map(({ strands, works }) => ({ strands, works })),
    cutList,
    aroundSeconds: loads * (SECONDS.thread + SECONDS.fastenOff) + restarts * SECONDS.fastenOff + SECONDS.changeColour,
  };
}
