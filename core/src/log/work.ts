import { localDay } from '../measure/index.ts';
import type { Step } from '../order/index.ts';
import type { PieceRecord, RecordEntry } from '../piece/index.ts';
import { stepSeconds, type Plan, type StepWork } from '../thread/index.ts';
import { inOrder } from './entryOrder.ts';
import { countingEntries } from './progress.ts';
import { afterEntry, type LastSitting } from './sittings.ts';

/** A step that was worked, with the time that it took; null: it is not known. */
export interface WorkedStep {
  readonly step: Step;
  readonly work: StepWork;
  readonly at: string;
  readonly seconds: number | null;
  /** Its number in the planned order. */
  readonly place: number;
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
      done.set(entry.step, { step: plan.order[at]!, work: planned!, at: entry.at, seconds: whole, place: at });
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
    done.set(step.key, { step, work: plan.work[i]!, at: '', seconds: null, place: i });
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
