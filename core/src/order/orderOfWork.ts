import type { PlanInput } from '../piece/index.ts';
import { stopMm, travelMm, type PlannedPart } from '../work/index.ts';
import { FOLDED_STRANDS, WORKING_LENGTH } from '../materials/index.ts';
import { Memory, stage } from '../measure/index.ts';
import { LOST_MM, type Problem } from './cost.ts';
import { withoutCircles } from './precedence.ts';
import { findRules, type Rule } from './rules.ts';
import { solve, type SolveOptions } from './solve.ts';
import { needlesThreaded } from './needlesInPlay.ts';
import { needleName, stepsOf, type Step } from './steps.ts';

/** An order of work with what it was made by. Rules name steps by their place in it. */
export interface OrderOfWork {
  readonly steps: readonly Step[];
  readonly rules: readonly Rule[];
  /** What gave way because rules stood in a circle, and what the person's own word broke. */
  readonly gaveWay: readonly Rule[];
  readonly broken: readonly Rule[];
}

/** What else an order is made by. */
export interface OrderWishes extends Pick<SolveOptions, 'seed' | 'tries'> {
  /** The keys of the steps that are done, in the order in which they were: they stay first. */
  readonly done?: readonly string[];
}

interface AskedOrder {
  readonly problem: Problem;
  readonly wishes: OrderWishes;
}

/** What changes no step, threading or rule changes no order. */
export const SOLVED_ORDER = stage<AskedOrder>()('solved order', ['problem', 'wishes'], ({ problem, wishes }) =>
  solve(problem, { ...wishes, known: [Array.from({ length: problem.count }, (_, i) => i)] }),
);

/** An order of work that can be had at once or be searched for. */
export interface OrderSearch {
  /** Whether it was searched for before: then there is nothing to wait for. */
  readonly isKnown: boolean;
  /**
   * The best of what the search begins from and of an order before: had at once, and seldom much dearer than what is found.
   * @param before the keys of its steps; where they are not the same steps it is passed over
   */
  first(before: readonly string[]): OrderOfWork;
  /** What the search finds. */
  best(): OrderOfWork;
}

/** What is asked for an order of work, before it is searched for. */
export function searchOrder(
  piece: PlanInput,
  parts: readonly PlannedPart[],
  wishes: OrderWishes,
  memory: Memory,
): OrderSearch {
  const steps = stepsOf(piece, parts, memory);
  const { problem, ...rules } = problemOf(piece, parts, steps, wishes.done ?? [], memory);
  const asked = { problem, wishes };
  return {
    isKnown: memory.knows(SOLVED_ORDER, [], asked),
    first: (before) => {
      const places = new Map(steps.map(({ key }, i) => [key, i]));
      const known = before.flatMap((key) => places.get(key) ?? []);
      return inOrder(steps, solve(problem, { tries: 0, known: [steps.map((_, i) => i), known] }), rules);
    },
    best: () => inOrder(steps, memory.made(SOLVED_ORDER, [], asked), rules),
  };
}

/** Finds the order of work of a piece. */
export function orderOfWork(
  piece: PlanInput,
  parts: readonly PlannedPart[],
  wishes: OrderWishes = {},
  memory = new Memory(),
): OrderOfWork {
  return searchOrder(piece, parts, wishes, memory).best();
}

/** The drawing's own order, from back to front, whatever stands against it. */
export function drawingOrder(piece: PlanInput, parts: readonly PlannedPart[]): OrderOfWork {
  return { steps: stepsOf(piece, parts), rules: [], gaveWay: [], broken: [] };
}

interface Rules {
  readonly kept: readonly Rule[];
  readonly gaveWay: readonly Rule[];
  readonly broken: readonly Rule[];
}

function inOrder(steps: readonly Step[], order: readonly number[], rules: Rules): OrderOfWork {
  const place = new Int32Array(steps.length);
  order.forEach((step, at) => (place[step] = at));
  const placed = (list: readonly Rule[]): Rule[] =>
    list.map(({ id, before, after }) => ({ id, before: place[before]!, after: place[after]! }));
  return {
    steps: order.map((i) => steps[i]!),
    rules: placed(rules.kept),
    gaveWay: placed(rules.gaveWay),
    broken: placed(rules.broken),
  };
}

/** Places are told apart no finer than this, mm: a stitch more or less moves nothing. */
const PLACE_MM = 0.5;

/** Steps and rules as numbers. */
export function problemOf(
  piece: PlanInput,
  parts: readonly PlannedPart[],
  steps: readonly Step[],
  done: readonly string[],
  memory = new Memory(),
): Rules & { readonly problem: Problem } {
  const doneAt = new Map(done.map((key, at) => [key, at]));
  const isDone = ({ before, after }: Rule): boolean =>
    doneAt.has(steps[after]!.key) || (doneAt.has(steps[before]!.key) && !doneAt.has(steps[after]!.key));
  // What is done needs no rule, and is done whatever the rules say.
  const rules = findRules(piece, parts, steps, memory).filter((rule) => !isDone(rule));
  const all = withoutCircles(rules, steps.length);
  const hasOwn = rules.some(({ id }) => id === 'own');
  const unforced = hasOwn
    ? withoutCircles(
        rules.filter(({ id }) => id !== 'own'),
        steps.length,
      ).gaveWay
    : all.gaveWay;
  const inAnyCase = new Set(unforced);
  const before = steps.map((): number[] => []);
  const after = steps.map((): number[] => []);
  for (const rule of all.kept) {
    before[rule.after]!.push(rule.before);
    after[rule.before]!.push(rule.after);
  }
  const numbersOf = (pick: (step: Step) => string): Int32Array => {
    const numbers = new Map<string, number>();
    return Int32Array.from(steps, (step) => {
      const name = pick(step);
      const number = numbers.get(name) ?? numbers.size;
      numbers.set(name, number);
      return number;
    });
  };
  const setUp = numbersOf((step) => step.setUp);
  const placeOf = (value: number): number => Math.round(value / PLACE_MM) * PLACE_MM;
  const problem: Problem = {
    count: steps.length,
    setUp,
    setUps: setUp.reduce((most, number) => Math.max(most, number + 1), 0),
    colour: numbersOf(({ colour }) => colour),
    needle: numbersOf(({ needle }) => needleName(needle)),
    family: numbersOf(({ needle }) => needle.family),
    position: Int32Array.from(steps, ({ position }) => position),
    motif: numbersOf(({ motif }) => motif),
    depth: Int32Array.from(steps, ({ depth }) => depth),
    from: Float64Array.from(steps.flatMap(({ from }) => from.map(placeOf))),
    to: Float64Array.from(steps.flatMap(({ to }) => to.map(placeOf))),
    early: earliness(piece, parts, steps),
    rank: ranksOf(piece, steps, before, after, doneAt),
    before,
    after,
    ...thread(piece, parts, steps),
    needles: needlesThreaded(piece),
    travelMm: travelMm(piece),
    byArea: piece.worker.byArea,
  };
  return {
    problem,
    kept: all.kept,
    gaveWay: all.gaveWay.filter((rule) => inAnyCase.has(rule)),
    broken: all.gaveWay.filter((rule) => !inAnyCase.has(rule)),
  };
}

/** Thread is told apart no finer than this, mm. */
const THREAD_MM = 5;

/** What each step takes of a length: a way within it that is too long to carry the thread over costs a fastening off. */
function thread(
  { worker }: PlanInput,
  parts: readonly PlannedPart[],
  steps: readonly Step[],
): Pick<Problem, 'usedMm' | 'usableMm'> {
  const usable = ({ strands, stitch }: Step): number => {
    const takenMm = strands === FOLDED_STRANDS ? WORKING_LENGTH.foldedCutMm / 2 : worker.cutMm;
    return Math.max(1, takenMm - WORKING_LENGTH.startMm[worker.start] - stopMm(stitch));
  };
  const used = ({ depth, layer, shade, threadMm, isPortion, zone }: Step): number => {
    const { breaks } = parts[depth]!.passes[layer]!.threads[shade]!;
    return Math.round((threadMm + (isPortion || zone > 0 ? 0 : breaks.length * LOST_MM)) / THREAD_MM) * THREAD_MM;
  };
  return { usedMm: Float64Array.from(steps, used), usableMm: Float64Array.from(steps, usable) };
}

/** What is small beside the whole drawing is a feature: eyes, berries, stamens. */
const FEATURE_SHARE = 0.01;
/** Features that come first are worth a couple of threadings. */
const FEATURES_WEIGH = 6;

/** How early each step is wanted by the person's taste, all of them together about ±1. */
function earliness({ worker }: PlanInput, parts: readonly PlannedPart[], steps: readonly Step[]): Float64Array {
  if (worker.focus === 'background') {
    const most = Math.max(1, parts.length - 1);
    return Float64Array.from(steps, ({ depth }) => (1 - (2 * depth) / most) / steps.length);
  }
  const whole = parts.reduce((sum, { placed }) => sum + placed.areaMm2, 0);
  const isFeature = ({ depth, role }: Step): boolean => {
    const { kind, areaMm2, behind } = parts[depth]!.placed;
    if (kind === 'line') return false;
    return role === 'accent' || kind === 'spot' || (behind.length === 0 && areaMm2 < whole * FEATURE_SHARE);
  };
  const features = steps.filter(isFeature).length;
  return Float64Array.from(steps, (step) => (isFeature(step) ? FEATURES_WEIGH / features : 0));
}

/** What is done in its order, then what is begun with and all that must come before it, the rest, and what is left for last with all that must follow it. */
function ranksOf(
  { order }: PlanInput,
  steps: readonly Step[],
  before: readonly (readonly number[])[],
  after: readonly (readonly number[])[],
  doneAt: ReadonlyMap<string, number>,
): Int32Array {
  const done = doneAt.size;
  const [first, last] = [new Set(order.first), new Set(order.last)];
  const begun = reached(
    steps.flatMap(({ part }, i) => (first.has(part) ? [i] : [])),
    before,
  );
  const left = reached(
    steps.flatMap(({ part }, i) => (last.has(part) && !begun.has(i) ? [i] : [])),
    after,
  );
  return Int32Array.from(steps, ({ key }, i) => doneAt.get(key) ?? done + (begun.has(i) ? 0 : left.has(i) ? 2 : 1));
}

/** Some steps, and all to which links lead from them. */
function reached(from: readonly number[], links: readonly (readonly number[])[]): Set<number> {
  const found = new Set(from);
  for (const step of found) for (const next of links[step]!) found.add(next);
  return found;
}
