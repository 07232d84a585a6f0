import { seededRandom, type Random, valueOf } from '../measure/index.ts';
import { Scale, type Problem } from './cost.ts';
import { greedyOrders } from './greedy.ts';

export interface SolveOptions {
  readonly seed?: number;
  /** The number of orders that are weighed; for large pieces fewer, so that the time grows with the piece and no faster. */
  readonly tries?: number;
  /** Orders to begin from, too, where they keep the rules. */
  readonly known?: readonly (readonly number[])[];
}

/** Steps to weigh in all: enough for a piece of a few hundred steps to settle. */
const MOST_WEIGHED = 1_400_000;
const MOST_TRIES = 14_000;
/** A few steps have few orders: more tries for each of them find nothing better. */
const TRIES_A_STEP = 300;
/** At first a move may make an order dearer by this, s; the search cools down to nothing several times, each time from the best that was found. */
const WARMTHS = [180, 60, 25] as const;
/** The share of the moves that turn a run of steps round, instead of putting it elsewhere. */
const TURNED = 0.2;
/** The most steps in a row that are moved at once. */
const LONGEST_MOVED = 12;

/**
 * The best order found for a problem: greedy beginnings, then steps and runs of steps moved to where they cost less, always within the
 * rules. The same problem and seed give the same order, never dearer than what it began from.
 */
export function solve(problem: Problem, { seed = 1, tries, known = [] }: SolveOptions = {}): number[] {
  const scale = new Scale(problem);
  const weigh = (order: ArrayLike<number>, most?: number): number => scale.weigh(order, most);
  const begun = [...known.filter((order) => keepsRules(problem, order)), ...greedyOrders(problem)];
  const costs = begun.map((order) => weigh(order));
  const first = begun[costs.indexOf(Math.min(...costs))] ?? [];
  const budget =
    tries ?? Math.min(MOST_TRIES, TRIES_A_STEP * problem.count, Math.floor(MOST_WEIGHED / Math.max(1, problem.count)));
  return improve(problem, first, budget, seededRandom(seed), weigh);
}

/** Whether an order holds every step once, and every rule. */
export function keepsRules({ count, before, rank }: Problem, order: readonly number[]): boolean {
  const place = new Int32Array(count).fill(-1);
  order.forEach((step, i) => (place[step] = i));
  return (
    order.length === count &&
    place.every((at) => at >= 0) &&
    before.every((earlier, step) => earlier.every((other) => place[other]! < place[step]!)) &&
    order.every((step, i) => i === 0 || rank[order[i - 1]!]! <= rank[step]!)
  );
}

/** Threshold accepting (G. Dueck and T. Scheuer, 1990): a move is taken where it costs no more than a bound that falls to nothing. */
function improve(
  problem: Problem,
  first: readonly number[],
  tries: number,
  random: Random,
  weigh: (order: ArrayLike<number>, most?: number) => number,
): number[] {
  if (first.length < 2) return [...first];
  const best = Int32Array.from(first);
  // Two lists that change places: thousands of orders are tried, none is made anew.
  let [order, tried] = [best.slice(), best.slice()];
  let cost = weigh(order);
  let least = cost;
  let isBest = true;
  const places = new Int32Array(problem.count);
  const alike = alikeSteps(problem);
  const notePlaces = (): void => order.forEach((step, at) => (places[step] = at));
  notePlaces();
  const cooling = Math.ceil(tries / WARMTHS.length);
  for (let i = 0; i < tries; i++) {
    if (i % cooling === 0 && !isBest) {
      order.set(best);
      isBest = true;
      cost = least;
      notePlaces();
    }
    const isMoved =
      random.next() < TURNED
        ? aTurn(problem, order, places, random, tried)
        : aMove(problem, order, places, alike, random, tried);
    if (!isMoved) continue;
    const bound = WARMTHS[Math.floor(i / cooling)]! * (1 - (i % cooling) / cooling) ** 2;
    const costs = weigh(tried, cost + bound);
    if (costs > cost + bound) continue;
    [order, tried] = [tried, order];
    cost = costs;
    notePlaces();
    isBest = cost < least - 1e-9;
    if (!isBest) continue;
    best.set(order);
    least = cost;
  }
  return [...best];
}

/** Steps `from` to just before `to` go before what stands at `at`. */
interface Shift {
  readonly from: number;
  readonly to: number;
  readonly at: number;
}

function moved(order: Int32Array, { from, to, at }: Shift, into: Int32Array): void {
  into.set(order);
  if (at < from) into.copyWithin(at + to - from, at, from);
  else into.copyWithin(from, to, at);
  into.set(order.subarray(from, to), at < from ? at : at - (to - from));
}

/** For each step those that it would well stand beside: of its threading, its motif, its place of the hoop. */
function alikeSteps({ count, setUp, motif, position }: Problem): readonly (readonly number[])[][] {
  return [setUp, motif, position].map((kinds) => {
    const byKind = new Map<number, number[]>();
    for (let step = 0; step < count; step++) {
      const members = byKind.get(kinds[step]!) ?? [];
      byKind.set(kinds[step]!, members);
      members.push(step);
    }
    return Array.from({ length: count }, (_, step) => valueOf(byKind, kinds[step]!));
  });
}

/** Makes an order in which a run of steps is worked from its other end; false where a rule or rank forbids. */
function aTurn(
  { before, rank }: Problem,
  order: Int32Array,
  places: Int32Array,
  random: Random,
  into: Int32Array,
): boolean {
  const from = Math.floor(random.next() * (order.length - 1));
  const to = Math.min(order.length, from + 2 + Math.floor(random.next() * LONGEST_MOVED));
  for (let i = from; i < to; i++) {
    if (rank[order[i]!] !== rank[order[from]!]) return false;
    for (const earlier of before[order[i]!]!) if (places[earlier]! >= from) return false;
  }
  into.set(order);
  into.subarray(from, to).reverse();
  return true;
}

/** Makes an order in which a run of steps stands elsewhere, within the rules; false where it would stay. */
function aMove(
  problem: Problem,
  order: Int32Array,
  places: Int32Array,
  alike: readonly (readonly (readonly number[])[])[],
  random: Random,
  into: Int32Array,
): boolean {
  const count = order.length;
  const pick = (below: number): number => Math.floor(random.next() * below);
  const from = pick(count);
  let to = from + 1;
  if (random.next() < 0.5) {
    // A whole run of one threading goes together.
    while (to < count && to - from < LONGEST_MOVED && problem.setUp[order[to]!] === problem.setUp[order[from]!]) to++;
  } else to = Math.min(count, from + 1 + pick(LONGEST_MOVED >> 1));
  const kind = random.next();
  const beside = alike[kind < 0.5 ? 0 : kind < 0.7 ? 1 : 2]![order[kind < 0.8 ? from : to - 1]!]!;
  const target = kind < 0.9 ? places[beside[pick(beside.length)]!]! + pick(2) : pick(count + 1);
  const at = within(problem, order, places, from, to, target);
  if (at >= from && at <= to) return false;
  moved(order, { from, to, at }, into);
  return true;
}

/** How far towards a place a run of steps can go before a rule or a rank stops it. */
function within(
  { before, after, rank }: Problem,
  order: Int32Array,
  places: Int32Array,
  from: number,
  to: number,
  target: number,
): number {
  let at = target;
  if (target < from) {
    for (let i = from; i < to; i++) {
      for (const earlier of before[order[i]!]!) if (places[earlier]! < from) at = Math.max(at, places[earlier]! + 1);
    }
    while (at < from && rank[order[at]!]! < rank[order[to - 1]!]!) at++;
    return at;
  }
  if (target <= to) return from;
  for (let i = from; i < to; i++) {
    for (const later of after[order[i]!]!) if (places[later]! >= to) at = Math.min(at, places[later]!);
  }
  while (at > to && rank[order[at - 1]!]! > rank[order[from]!]!) at--;
  return at;
}
