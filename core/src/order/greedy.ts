import { valueOf } from '../measure/index.ts';
import type { Problem } from './cost.ts';

/** How a beginning chooses its next threading, where the one in hand has nothing left that can be worked. */
type Choice = 'most' | 'whole' | 'behind';
const CHOICES: readonly Choice[] = ['whole', 'most', 'behind'];

/** The most steps of one threading that are looked at for the nearest. */
const MOST_LOOKED_AT = 200;

/** Orders that keep the rules: by colour, each chosen in its own way, and by area. */
export function greedyOrders(problem: Problem): number[][] {
  return [...CHOICES.map((choice) => byThreading(problem, choice)), byArea(problem)];
}

/** What can be worked next, as rules and ranks allow. */
class Open {
  readonly byPlace: Map<number, number[]>;
  private readonly waits: Int32Array;
  private readonly ofRank: Int32Array;
  private rankNow = 0;
  private readonly later: number[] = [];
  left: number;

  /** @param kinds by what open steps are kept together */
  constructor(
    private readonly problem: Problem,
    private readonly kinds: Int32Array,
  ) {
    const { count, before, rank } = problem;
    this.left = count;
    this.waits = Int32Array.from(before, (earlier) => earlier.length);
    this.byPlace = new Map();
    const most = rank.reduce((high, own) => Math.max(high, own), 0);
    this.ofRank = new Int32Array(most + 1);
    for (const own of rank) this.ofRank[own]!++;
    this.nextRank();
    for (let step = 0; step < count; step++) if (before[step]!.length === 0) this.open(step);
  }

  private open(step: number): void {
    if (this.problem.rank[step]! > this.rankNow) {
      this.later.push(step);
      return;
    }
    const kind = this.kinds[step]!;
    const members = this.byPlace.get(kind);
    if (members) members.push(step);
    else this.byPlace.set(kind, [step]);
  }

  private nextRank(): void {
    while (this.rankNow < this.ofRank.length - 1 && this.ofRank[this.rankNow] === 0) this.rankNow++;
  }

  take(step: number): void {
    const kind = this.kinds[step]!;
    const members = valueOf(this.byPlace, kind);
    members.splice(members.indexOf(step), 1);
    if (members.length === 0) this.byPlace.delete(kind);
    this.left--;
    for (const next of this.problem.after[step]!) {
      const left = this.waits[next]! - 1;
      this.waits[next] = left;
      if (left === 0) this.open(next);
    }
    this.ofRank[this.problem.rank[step]!]!--;
    const rank = this.rankNow;
    this.nextRank();
    if (this.rankNow > rank) for (const waiting of this.later.splice(0)) this.open(waiting);
  }
}

/** All that can be worked in one threading before the next, the nearest first. */
function byThreading(problem: Problem, choice: Choice): number[] {
  const { setUp, setUps, position, depth, count } = problem;
  // Threadings are kept apart by the place of the hoop: it is moved less often than a needle is threaded.
  const kinds = Int32Array.from(setUp, (own, step) => own + setUps * position[step]!);
  const open = new Open(problem, kinds);
  const leftOf = new Map<number, number>();
  for (const kind of kinds) leftOf.set(kind, (leftOf.get(kind) ?? 0) + 1);
  const order: number[] = [];
  let now = -1;
  while (open.left > 0) {
    if (!open.byPlace.has(now)) now = nextKind();
    const step = nearest(problem, valueOf(open.byPlace, now), order.at(-1));
    open.take(step);
    leftOf.set(now, valueOf(leftOf, now) - 1);
    order.push(step);
  }
  return order;

  function nextKind(): number {
    const place = order.length > 0 ? position[order.at(-1)!]! : 0;
    let [best, least] = [-1, Infinity];
    for (const [kind, members] of open.byPlace) {
      const isHere = Math.floor(kind / setUps) === place;
      const isWhole = members.length === leftOf.get(kind);
      const back = members.reduce((sum, step) => sum + depth[step]!, 0) / members.length / (count + 1);
      const score =
        (isHere ? 0 : 1e6) +
        (choice === 'whole' && !isWhole ? 1e3 : 0) +
        (choice === 'most' ? -members.length : back) +
        Math.floor(kind / setUps) * 1e-3;
      if (score < least) [best, least] = [kind, score];
    }
    return best;
  }
}

/** What is begun is finished: the same motif, then the nearest, from back to front. */
function byArea(problem: Problem): number[] {
  const kinds = Int32Array.from(problem.motif, (own, step) => own + problem.count * problem.position[step]!);
  const open = new Open(problem, kinds);
  const order: number[] = [];
  let now = -1;
  while (open.left > 0) {
    const last = order.at(-1);
    if (!open.byPlace.has(now)) {
      const place = last === undefined ? 0 : problem.position[last]!;
      const here = [...open.byPlace].filter(([kind]) => Math.floor(kind / problem.count) === place);
      const among = here.length > 0 ? here : [...open.byPlace];
      const step = nearest(
        problem,
        among.slice(0, MOST_LOOKED_AT).map(([, members]) => members[0]!),
        last,
      );
      now = kinds[step]!;
    }
    const members = valueOf(open.byPlace, now);
    const sameThread = members.filter((step) => last !== undefined && problem.setUp[step] === problem.setUp[last]);
    const step = nearest(problem, sameThread.length > 0 ? sameThread : members, last);
    open.take(step);
    order.push(step);
  }
  return order;
}

function nearest({ from, to, depth }: Problem, steps: readonly number[], last: number | undefined): number {
  let [best, least] = [steps[0]!, Infinity];
  for (let i = 0; i < steps.length && i < MOST_LOOKED_AT; i++) {
    const step = steps[i]!;
    const way =
      last === undefined
        ? depth[step]!
        : Math.hypot(from[2 * step]! - to[2 * last]!, from[2 * step + 1]! - to[2 * last + 1]!);
    if (way < least) [best, least] = [step, way];
  }
  return best;
}
