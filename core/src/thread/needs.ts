import {
  isTying,
  Needle,
  Needles,
  needlesThreaded,
  needleName,
  needleOfStep,
  threadOfStep,
  type WorkOrder,
} from '../order/index.ts';
import {
  type ThreadSpread,
  type PlannedPart,
  type PlannedPass,
  type WorkedThread,
  travelMm,
  workedIn,
} from '../work/index.ts';
import {
  FOLDED_STRANDS,
  SECONDS,
  threadKind,
  UNPICKED_TIME,
  WORKING_LENGTH,
  type ThreadKind,
  type ThreadId,
} from '../materials/index.ts';
import { Memory, stage } from '../measure/index.ts';
import { COLOUR_NAME, type PlanInput, colourOf } from '../piece/index.ts';
import { shareCuts, type Cut } from './cuts.ts';
import { countLoads, type LoadedRun, type LoadSettings, type RunWay } from './loads.ts';
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
  readonly thread: ThreadId;
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
  /** Its place in the order of work. */
  readonly order: number;
  /** Whether a needle is threaded for it, and whether one that is parked is taken up. */
  readonly isThreaded: boolean;
  readonly isParked: boolean;
  /** Whether it ties a thread that was laid: with a needle of its own. */
  readonly isTying: boolean;
}

/** All runs of some parts in the order of work, each with the id of its colour. What the order has of other parts is passed over. */
export function needleRuns(
  piece: PlanInput,
  parts: readonly PlannedPart[],
  order: WorkOrder,
  memory = new Memory(),
): { colour: string; run: NeedleRun }[] {
  const { hoop, positions } = piece;
  const byId = new Map(parts.map((planned) => [planned.part.id, planned]));
  const runs = order.flatMap((step, at) => {
    const planned = byId.get(step.part);
    const pass = planned?.passes[step.layer];
    const thread = threadOfStep(planned, step, hoop, positions, memory);
    if (!planned || !pass || !thread) return [];
    const colour = thread.colour ?? planned.part.colour;
    const [needle, ties] = [needleOfStep(pass, step), isTying(pass, step)];
    return [{ colour, at, part: step.part, thread, pass: workedIn(pass, thread), needle, isTying: ties }];
  });
  const numbers = new Map<string, number>();
  const setUps = runs.map(({ colour, pass: { thread, strands }, needle, isTying: ties }) => {
    const setUp = `${colour}|${thread}|${strands}|${needleName(needle)}|${ties}`;
    const number = numbers.get(setUp) ?? numbers.size;
    numbers.set(setUp, number);
    return number;
  });
  const comesBy = new Needles(setUps.length, numbers.size, needlesThreaded(piece)).follow(setUps);
  return runs.map(({ colour, at, part, thread, pass, needle, isTying: ties }, i) => ({
    colour,
    run: {
      ...thread,
      part,
      pass: pass.needle === needle ? pass : { ...pass, needle },
      order: at,
      isThreaded: comesBy[i] === Needle.threaded,
      isParked: comesBy[i] === Needle.parked,
      isTying: ties,
    },
  }));
}

interface NeedleGroup {
  readonly colourId: string;
  readonly thread: ThreadId;
  /** Runs by what a needle is threaded with and which needle it is. */
  readonly byNeedle: Map<string, NeedleRun[]>;
}

/** Runs by colour and kind of thread, in the order of the palette, each by needle. */
function needleGroups(piece: PlanInput, all: readonly { colour: string; run: NeedleRun }[]): NeedleGroup[] {
  const groups = new Map<string, NeedleGroup>();
  const byColour = new Map<string, NeedleRun[]>(piece.palette.map(({ id }) => [id, []]));
  for (const { colour, run } of all) byColour.get(colour)?.push(run);
  for (const [colourId, runs] of byColour) {
    for (const run of runs) {
      const { thread, strands, needle } = run.pass;
      const key = `${colourId}|${thread}`;
      const group = groups.get(key) ?? { colourId, thread, byNeedle: new Map() };
      groups.set(key, group);
      const onNeedle = `${strands}|${needleName(needle)}|${run.isTying}`;
      const alike = group.byNeedle.get(onNeedle) ?? [];
      group.byNeedle.set(onNeedle, alike);
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
  memory = new Memory(),
): ColourNeed[] {
  return threadWork(piece, parts, order, spread, memory).colours;
}

/** What each step of an order takes beside its stitches. */
export interface StepWork {
  /** Stitching with what is unpicked, and threading, fastening off, changing and moving, s. */
  readonly stitchSeconds: number;
  readonly aroundSeconds: number;
  /** Lengths begun, rests of lengths threaded again, and fastenings off to go on elsewhere. */
  readonly loads: number;
  readonly rethreadings: number;
  readonly restarts: number;
  readonly carriedMm: number;
  readonly longestCarryMm: number;
  /** Whether it goes on with a parked needle. */
  readonly isParked: boolean;
  /** What of it each length works: the length by its number among those of its colour need, thread used, mm. */
  readonly portions: readonly { readonly need: string; readonly load: number; readonly usedMm: number }[];
}

/** All that a step takes, s; nothing where the order has what is not among the parts. */
export function stepSeconds(work: StepWork | null | undefined): number {
  return work ? work.stitchSeconds + work.aroundSeconds : 0;
}

/** All that colours and steps take, worked in an order. */
export interface ThreadWork {
  readonly colours: readonly ColourNeed[];
  /** An entry for each step of the order; null where the order has what is not among the parts. */
  readonly steps: readonly (StepWork | null)[];
}

export function threadWork(
  piece: PlanInput,
  parts: readonly PlannedPart[],
  order: WorkOrder,
  spread: ThreadSpread,
  memory: Memory,
): ThreadWork & { readonly colours: ColourNeed[] } {
  const all = needleRuns(piece, parts, order, memory);
  const changesColour = new Set(
    all.flatMap(({ colour, run }, i) => (i > 0 && run.isThreaded && colour !== all[i - 1]?.colour ? [run.order] : [])),
  );
  const groups = needleGroups(piece, all);
  const steps = new Array<StepWork | null>(order.length).fill(null);
  const colours = groups.map((group) => {
    const isOnlyThread = groups.every((other) => other === group || other.colourId !== group.colourId);
    const counted = threadings(group, loadSettings(piece), memory);
    const need = colourNeed(piece, group, counted, isOnlyThread, spread, memory);
    let aroundSeconds = 0;
    for (const { run, way, portions } of counted.byRun) {
      const begun = portions.filter(({ isBegun }) => isBegun).length;
      const change = changesColour.has(run.order) ? SECONDS.changeColour : 0;
      const around =
        (begun + Number(way.isRethreaded)) * (SECONDS.thread + SECONDS.fastenOff) +
        way.restarts * SECONDS.fastenOff +
        (run.isParked ? SECONDS.parkedNeedle : 0) +
        change;
      aroundSeconds += around;
      steps[run.order] = {
        stitchSeconds: run.quantities.seconds * (1 + UNPICKED_TIME),
        aroundSeconds: around,
        loads: begun,
        rethreadings: Number(way.isRethreaded),
        restarts: way.restarts,
        carriedMm: way.carriedMm + run.carriedMm,
        longestCarryMm: Math.max(way.longestMm, run.longestCarryMm),
        isParked: run.isParked,
        portions: portions.map(({ load, usedMm }) => ({ need: need.id, load, usedMm })),
      };
    }
    return { ...need, aroundSeconds };
  });
  return { colours, steps };
}

interface Threading extends NeedleLoad {
  readonly order: number;
}

interface RunsOnNeedle {
  readonly runs: readonly LoadedRun[];
  readonly settings: LoadSettings;
}

/** An edit changes few paths: the loads of all others were counted before. */
export const COUNTED_LOADS = stage<RunsOnNeedle>()('counted loads', ['runs', 'settings'], ({ runs, settings }) =>
  countLoads(runs, settings),
);

interface RunPortion {
  load: number;
  readonly usedMm: number;
  /** Whether the load is begun with it. */
  readonly isBegun: boolean;
}

interface Threadings {
  readonly list: readonly Threading[];
  readonly lostMm: number;
  readonly byRun: readonly {
    readonly run: NeedleRun;
    readonly way: RunWay;
    readonly portions: readonly RunPortion[];
  }[];
}

/** Every threading of the needle in the order of working, and what is lost on the way. */
function threadings({ colourId, thread, byNeedle }: NeedleGroup, settings: LoadSettings, memory: Memory): Threadings {
  const list: (Threading & { readonly portions: RunPortion[] })[] = [];
  const byRun: { run: NeedleRun; way: RunWay; portions: RunPortion[] }[] = [];
  let lostMm = 0;
  for (const [needle, runs] of byNeedle) {
    const loaded = runs.map(({ path, usedMm, breaks, pass: { stitch, strands }, isThreaded }): LoadedRun => ({
      path,
      usedMm,
      breaks,
      pass: { stitch, strands },
      isThreaded,
    }));
    const source = { runs: loaded, settings };
    const counted = memory.made(COUNTED_LOADS, [], source, `${colourId}|${thread}|${needle}`);
    lostMm += counted.lostMm;
    const own = runs.map((run, i) => ({ run, way: counted.ways[i]!, portions: [] as RunPortion[] }));
    byRun.push(...own);
    for (const portions of counted.portions) {
      const works = new Map<string, number>();
      const ofLoad = portions.map(({ run, usedMm }, i): RunPortion => {
        const { part } = runs[run]!;
        works.set(part, (works.get(part) ?? 0) + usedMm);
        const portion = { load: 0, usedMm, isBegun: i === 0 };
        own[run]!.portions.push(portion);
        return portion;
      });
      const { pass, order } = runs[portions[0]!.run]!;
      list.push({
        strands: pass.strands,
        works: [...works].map(([part, usedMm]) => ({ part, usedMm })),
        order,
        portions: ofLoad,
      });
    }
  }
  list.sort((a, b) => a.order - b.order);
  list.forEach(({ portions }, load) => portions.forEach((portion) => (portion.load = load)));
  return { list, lostMm, byRun };
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

function colourNeed(
  piece: PlanInput,
  group: NeedleGroup,
  { list, lostMm, byRun }: Threadings,
  isOnlyThread: boolean,
  spread: ThreadSpread,
  memory: Memory,
): Omit<ColourNeed, 'aroundSeconds'> {
  const kind = threadKind(group.thread);
  const settings = loadSettings(piece);
  const runs = byRun.map(({ run }) => run);
  const sum = (pick: (run: NeedleRun) => number): number => runs.reduce((total, run) => total + pick(run), 0);
  const cutList = cutsFor(list, kind);
  const lengthOf = ({ loads }: Cut): number =>
    list[loads[0]!]!.strands === FOLDED_STRANDS ? WORKING_LENGTH.foldedCutMm : settings.cutMm;
  const putUpMm = kind.putUpM * 1000;
  const wholeSkeins = cutList.reduce((total, cut) => total + 1 / Math.max(1, Math.floor(putUpMm / lengthOf(cut))), 0);
  const odds = needOdds(wholeSkeins, list.length, spread, memory);
  const skeins = (share: number): number => (cutList.length === 0 ? 0 : Math.max(1, Math.ceil(share - 1e-9)));
  const colour = colourOf(piece, group.colourId);
  const threadMm = sum((p) => p.quantities.threadMm);
  const bareMm = sum(({ quantities: q }) => q.frontMm + q.backMm + q.wrapMm + q.throughMm);
  const loads = list.length;
  const { name, hex } = memory.made(COLOUR_NAME, [], colour, colour.id);
  return {
    id: isOnlyThread ? colour.id : `${colour.id}-${group.thread}`,
    colour: colour.id,
    name,
    hex,
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
  };
}
