import { SECONDS } from '../materials/index.ts';
import { localDay } from '../measure/index.ts';
import type { Step } from '../order/index.ts';
import type { PieceRecord, RecordEntry } from '../piece/index.ts';
import type { StitchId } from '../stitches/index.ts';
import { hoopMoves, stepSeconds, Z90, type Plan, type StepWork } from '../thread/index.ts';
import { learnHand, trusted } from './learn.ts';
import { inOrder } from './entryOrder.ts';
import { countingEntries } from './progress.ts';
import { afterEntry, type LastSitting } from './sittings.ts';

/** A step that was worked, with the time that it took; null: it is not known. */
export interface WorkedStep {
  readonly step: Step;
  readonly work: StepWork;
  readonly at: string;
  readonly seconds: number | null;
}

/** A long time without a tap, of which it is not said whether it was stitched. */
export interface LongGap {
  /** The entry that ended it. */
  readonly before: string;
  readonly seconds: number;
}

/** How the work stands, as a record tells it of a plan. */
export interface WorkSoFar {
  /** In the order in which they were done. */
  readonly done: readonly WorkedStep[];
  /** What of a step that is begun is worked, 0–1, by its key. */
  readonly begun: ReadonlyMap<string, number>;
  /** What is still to do, in its order: what was left for later, and what must follow it, comes last. */
  readonly left: readonly Step[];
  /** Whether a sitting is open, and since when. */
  readonly openSince: string | null;
  /** Needles that were laid out in the open sitting, or that were missing when the last was closed. */
  readonly needlesOut: number | null;
  readonly needlesMissing: number;
  /** Time at the hoop, s, and the same by the day where the person is. */
  readonly seconds: number;
  readonly days: ReadonlyMap<string, number>;
  readonly unsaid: readonly LongGap[];
  /** What was pinned to be looked at again and was not yet. */
  readonly toLookAt: readonly Extract<RecordEntry, { type: 'look-again' }>[];
}

/** A step that takes this many times as long as planned, and at least this much longer, s, was hardly stitched all the time. */
const LONG_GAP = { times: 3, seconds: 900 } as const;

/**
 * Reads off a record how the work stands. Whatever the order of its entries, it says the same.
 * @param plan the piece as it is planned now: entries about steps that it no longer has tell of time only
 */
export function workSoFar(record: PieceRecord, plan: Plan): WorkSoFar {
  const entries = inOrder(countingEntries(record));
  const numbers = new Map(plan.order.map(({ key }, i) => [key, i]));
  // Who notes what a part took has worked it.
  const partsDone = new Set(entries.flatMap((entry) => ('part' in entry ? [entry.part] : [])));
  const said = new Map(
    entries.flatMap((entry) => (entry.type === 'long-gap' ? [[entry.before, entry.stitched] as const] : [])),
  );
  const done = new Map<string, WorkedStep>();
  const begun = new Map<string, number>();
  const later: string[] = [];
  const days = new Map<string, number>();
  const unsaid: LongGap[] = [];
  const pins = new Map<string, Extract<RecordEntry, { type: 'look-again' }>>();
  let sitting: LastSitting | null = null;
  let last: string | null = null;
  let seconds = 0;
  for (const entry of entries) {
    const gap = last === null ? null : Math.max(0, (Date.parse(entry.at) - Date.parse(last)) / 1000);
    const at = 'step' in entry ? numbers.get(entry.step) : undefined;
    const planned = at === undefined ? null : plan.work[at]!;
    const usual = stepSeconds(planned);
    let own = isOpen(sitting) ? gap : null;
    if (entry.type === 'long-gap') own = null;
    if (own !== null && own > Math.max(LONG_GAP.times * usual, LONG_GAP.seconds)) {
      const isStitched = said.get(entry.id);
      if (isStitched === undefined) unsaid.push({ before: entry.id, seconds: own });
      if (isStitched !== true) own = null;
    }
    if (own !== null) {
      seconds += own;
      const day = localDay(new Date(entry.at));
      days.set(day, (days.get(day) ?? 0) + own);
    }
    sitting = afterEntry(sitting, entry);
    if (entry.type === 'step-done' && at !== undefined) {
      const share = begun.get(entry.step) ?? 0;
      // Of a step that was begun before only its rest was timed.
      const whole = own !== null && share < 0.9 ? own / (1 - share) : null;
      done.set(entry.step, { step: plan.order[at]!, work: planned!, at: entry.at, seconds: whole });
      begun.delete(entry.step);
    } else if (entry.type === 'portion-done' && at !== undefined) {
      begun.set(entry.step, entry.share);
      done.delete(entry.step);
    } else if (entry.type === 'unpicked') {
      done.delete(entry.step);
      begun.delete(entry.step);
    } else if (entry.type === 'step-later') later.push(entry.step);
    else if (entry.type === 'look-again') pins.set(entry.id, entry);
    else if (entry.type === 'looked-at') pins.delete(entry.entry);
    if (entry.type !== 'thread-used' && entry.type !== 'part-done') last = entry.at;
  }
  for (const [i, step] of plan.order.entries()) {
    if (!partsDone.has(step.part) || done.has(step.key)) continue;
    done.set(step.key, { step, work: plan.work[i]!, at: '', seconds: null });
  }
  return {
    done: [...done.values()],
    begun,
    left: leftOver(plan, done, later),
    openSince: isOpen(sitting) ? sitting.begun : null,
    needlesOut: sitting?.needlesOut ?? null,
    needlesMissing: sitting?.needlesMissing ?? 0,
    seconds,
    days,
    unsaid,
    toLookAt: [...pins.values()],
  };
}

function isOpen(sitting: LastSitting | null): sitting is LastSitting {
  return sitting !== null && sitting.ended === null;
}

function leftOver({ order, rules }: Plan, done: ReadonlyMap<string, unknown>, later: readonly string[]): Step[] {
  const left = order.map((_, i) => i).filter((i) => !done.has(order[i]!.key));
  const put = new Set(left.filter((i) => later.includes(order[i]!.key)));
  const after = new Map<number, number[]>();
  for (const rule of rules.rules) after.set(rule.before, [...(after.get(rule.before) ?? []), rule.after]);
  for (const i of put) for (const next of after.get(i) ?? []) put.add(next);
  // Left for later, everything left: then it is time.
  if (left.every((i) => put.has(i))) return left.map((i) => order[i]!);
  return [...left.filter((i) => !put.has(i)), ...left.filter((i) => put.has(i))].map((i) => order[i]!);
}

/** How far paces lie apart, as standard deviations of the logarithm: people, one person in different stitches, single steps noted by two taps. */
const PACE = { hand: 0.3, stitch: 0.15, step: 0.28 } as const;
/** A step that took this many times more or less than is usual for her was noted late or early: it tells nothing of its stitch. */
const MISTAPPED = 3;
/** No one is quicker or slower than usual by more than this factor. */
const FARTHEST = 3;
/** How far what is still to come lies from the pace, beside what is not known of the pace: days are good and bad. */
const FROM_DAY_TO_DAY = 0.05;

/** A person's own pace: by how much longer than usual she takes. */
export interface Pace {
  readonly hand: number;
  readonly stitches: ReadonlyMap<StitchId, { readonly factor: number; readonly records: number }>;
  /** How far her hand may still lie from it, as the standard deviation of the logarithm. */
  readonly doubt: number;
}

/**
 * A person's own pace from the steps that she worked, drawn in towards the usual where there are few. In general it is all of her time over all
 * that is usual, so that a tap that came late does no harm; in a stitch it is told by the steps that were tapped in time. A normal model in two levels
 * with known variances, on logarithms.
 */
export function learnPace(done: readonly WorkedStep[]): Pace {
  const timed = done.flatMap(({ step, work, seconds }) => {
    const usual = stepSeconds(work);
    return seconds !== null && usual > 0 ? [{ stitch: step.stitch, seconds, usual }] : [];
  });
  const sum = (pick: (own: (typeof timed)[number]) => number): number => timed.reduce((all, own) => all + pick(own), 0);
  const usual = sum((own) => own.usual);
  const all = usual > 0 ? sum(({ seconds }) => seconds) / usual : 0;
  // Taps in a hurry, to catch up, tell of no one's pace.
  const ratio = all > 0 ? Math.min(FARTHEST, Math.max(1 / FARTHEST, all)) : 0;
  if (!(ratio > 0)) return { hand: 1, stitches: new Map(), doubt: PACE.hand };
  const byStitch = new Map<StitchId, { usual: number; logs: number[] }>();
  for (const own of timed) {
    const entry = byStitch.get(own.stitch) ?? { usual: 0, logs: [] };
    byStitch.set(own.stitch, entry);
    entry.usual += own.usual;
    const relative = own.seconds / own.usual / ratio;
    if (relative < MISTAPPED && relative > 1 / MISTAPPED) entry.logs.push(Math.log(relative));
  }
  const shares = [...byStitch.values()].reduce((all, own) => all + (own.usual / usual) ** 2, 0);
  const steps = sum((own) => own.usual ** 2) / usual ** 2;
  const known = 1 / (PACE.stitch ** 2 * shares + PACE.step ** 2 * steps);
  const certainty = 1 / PACE.hand ** 2 + known;
  const hand = Math.exp((known * Math.log(ratio)) / certainty);
  const stitches = new Map<StitchId, { factor: number; records: number }>();
  for (const [stitch, { logs }] of byStitch) {
    if (logs.length === 0) continue;
    // The mean of logarithms lies below that of times by half a variance.
    const mean = logs.reduce((all, log) => all + log, 0) / logs.length + PACE.step ** 2 / 2;
    const share = PACE.stitch ** 2 / (PACE.stitch ** 2 + PACE.step ** 2 / logs.length);
    stitches.set(stitch, { factor: hand * Math.exp(share * mean), records: logs.length });
  }
  return { hand, stitches, doubt: Math.sqrt(1 / certainty) };
}

/** By how much longer than usual she takes in a stitch. */
export function paceIn(pace: Pace, stitch: StitchId): number {
  return pace.stitches.get(stitch)?.factor ?? pace.hand;
}

export interface Forecast {
  /** Time at the hoop that is left, s. */
  readonly seconds: { readonly p10: number; readonly p50: number; readonly p90: number };
  readonly threadMm: number;
}

/**
 * What is left to do, at the pace that was learned: a range that narrows as more is known. Before the first step it is all that was planned,
 * with the cloth to be mounted.
 */
export function forecast(soFar: Pick<WorkSoFar, 'done' | 'left' | 'begun'>, plan: Plan, pace: Pace): Forecast {
  const numbers = new Map(plan.order.map(({ key }, i) => [key, i]));
  const byStitch = new Map<StitchId, number>();
  let [seconds, squares, threadMm] = [0, 0, 0];
  for (const step of soFar.left) {
    const work = plan.work[numbers.get(step.key)!];
    if (!work) continue;
    const share = 1 - (soFar.begun.get(step.key) ?? 0);
    const own = share * stepSeconds(work) * paceIn(pace, step.stitch);
    seconds += own;
    squares += own ** 2;
    byStitch.set(step.stitch, (byStitch.get(step.stitch) ?? 0) + own);
    threadMm += share * step.threadMm;
  }
  seconds += atTheHoop(soFar);
  // What is not known of each stitch averages out over all; what is not known of the hand does not, but it tells only of what no record does.
  let [stitchDoubt, byHand] = [0, 0];
  for (const [stitch, own] of byStitch) {
    const records = pace.stitches.get(stitch)?.records ?? 0;
    const variance = 1 / (1 / PACE.stitch ** 2 + records / PACE.step ** 2);
    const share = own / Math.max(1, seconds);
    stitchDoubt += share ** 2 * variance;
    byHand += share * (variance / PACE.stitch ** 2);
  }
  const noise = seconds > 0 ? (PACE.step ** 2 * squares) / seconds ** 2 : 0;
  const spread = Math.sqrt((byHand * pace.doubt) ** 2 + stitchDoubt + noise + FROM_DAY_TO_DAY ** 2);
  const factor = Math.exp(Z90 * spread);
  return { seconds: { p10: seconds / factor, p50: seconds, p90: seconds * factor }, threadMm };
}

/** What mounting the cloth and moving the hoop still take, s. */
function atTheHoop({ done, left, begun }: Pick<WorkSoFar, 'done' | 'left' | 'begun'>): number {
  if (left.length === 0) return 0;
  const isMounted = done.length > 0 || begun.size > 0;
  const last = done.at(-1)?.step;
  return (isMounted ? 0 : SECONDS.mountCloth) + SECONDS.moveHoop * hoopMoves(last ? [last, ...left] : left);
}

/** What a record tells of a plan, as the headless planner says it. */
export interface RecordReport {
  readonly doneParts: readonly string[];
  readonly doneSeconds: number;
  readonly doneMm: number;
  readonly left: Forecast;
  readonly factors: {
    readonly seconds: Readonly<Record<string, number>>;
    readonly thread: Readonly<Record<string, number>>;
  };
}

export function recordReport(record: PieceRecord, plan: Plan): RecordReport {
  const soFar = workSoFar(record, plan);
  const pace = learnPace(soFar.done);
  const left = new Set(soFar.left.map(({ part }) => part));
  const uses = countingEntries(record).filter((entry) => entry.type === 'thread-used');
  const byPart = new Set([...soFar.done.map(({ step }) => step.part), ...uses.map(({ part }) => part)]);
  const { thread } = learnHand(trusted(uses));
  return {
    doneParts: [...byPart].filter((part) => !left.has(part) || uses.some((use) => use.part === part)),
    doneSeconds: soFar.seconds,
    doneMm: soFar.done.reduce((sum, { step }) => sum + step.threadMm, 0),
    left: forecast(soFar, plan, pace),
    factors: {
      seconds: {
        '': pace.hand,
        ...Object.fromEntries([...pace.stitches].map(([stitch, { factor }]) => [stitch, factor])),
      },
      thread,
    },
  };
}
