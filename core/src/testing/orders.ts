import { seededRandom } from '../measure/index.ts';
import { ORDER_WEIGHTS, LOST_MM, type Problem } from '../order/index.ts';
import { SECONDS, WORKING_LENGTH } from '../materials/index.ts';

/** A piece that no one drew, of a number of steps: threadings, places, rules, ranks by chance. */
export function randomProblem(seed: number, count: number): Problem {
  const random = seededRandom(seed);
  const whole = (below: number): number => Math.floor(random.next() * below);
  const setUps = 1 + whole(Math.min(6, count));
  const positions = random.next() < 0.25 ? 2 : 1;
  const steps = Array.from({ length: count }, (_, i) => i);
  const used = steps.map(() => whole(setUps));
  // Set-ups are numbered as they first come.
  const numbers = new Map<number, number>();
  const setUp = Int32Array.from(used, (own) => {
    const number = numbers.get(own) ?? numbers.size;
    numbers.set(own, number);
    return number;
  });
  const rank = Int32Array.from(steps, () => (random.next() < 0.1 ? whole(3) : 1));
  const before = steps.map((): number[] => []);
  const after = steps.map((): number[] => []);
  const shuffled = [...steps].sort(() => random.next() - 0.5).sort((a, b) => rank[a]! - rank[b]!);
  for (let k = 0; k < count; k++) {
    const [a, b] = [whole(count), whole(count)].sort((p, q) => p - q) as [number, number];
    if (a === b || random.next() < 0.4) continue;
    before[shuffled[b]!]!.push(shuffled[a]!);
    after[shuffled[a]!]!.push(shuffled[b]!);
  }
  const places = (): Float64Array => Float64Array.from({ length: 2 * count }, () => random.between(-60, 60));
  const from = places();
  return {
    count,
    setUp,
    setUps: numbers.size,
    colour: setUp.map((own) => own >> 1),
    needle: setUp.map((own) => own % 3),
    family: setUp.map((own) => Number(own % 3 === 2)),
    position: Int32Array.from(steps, () => whole(positions)),
    motif: Int32Array.from(steps, (i) => i >> 1),
    depth: Int32Array.from(steps),
    from,
    to: from.map((value) => value + random.between(-12, 12)),
    early: Float64Array.from(steps, () => random.between(-1, 1) / count),
    rank,
    before,
    after,
    usedMm: Float64Array.from(steps, () => random.between(20, 700)),
    usableMm: Float64Array.from(setUp, (own) => 300 + 20 * own),
    needles: 1 + whole(4),
    travelMm: 15,
    byArea: random.next() < 0.3 ? 1 : random.next() < 0.5 ? 0 : random.next(),
  };
}

/**
 * The least that any order can cost, by dynamic programming over what is done, what came last, which needles are out and where the thread of
 * each ended: slow, and right by its plainness. Which needle is given away is tried in every way.
 */
export function exactCost(p: Problem): number {
  const { eye, otherColour, otherFamily, otherMotif, otherSize, metreSeconds, taste, threadingByArea } = ORDER_WEIGHTS;
  const eyeWeight = eye.byColour * (eye.byArea / eye.byColour) ** p.byArea;
  const threadWeight = 1 - p.byArea * (1 - threadingByArea);
  const apart = (x: number, y: number, x2: number, y2: number): number => Math.sqrt((x - x2) ** 2 + (y - y2) ** 2);
  interface State {
    readonly done: number;
    readonly last: number;
    readonly out: readonly number[];
    /** The last step of each threading, −1 before the first. */
    readonly ends: readonly number[];
    /** What is left of the length of each threading, mm. */
    readonly left: readonly number[];
  }
  let layer = new Map<string, { state: State; cost: number }>();
  const start: State = {
    done: 0,
    last: -1,
    out: [],
    ends: Array.from({ length: p.setUps }, () => -1),
    left: Array.from({ length: p.setUps }, () => 0),
  };
  layer.set('', { state: start, cost: 0 });
  for (let i = 0; i < p.count; i++) {
    const next = new Map<string, { state: State; cost: number }>();
    for (const { state, cost } of layer.values()) {
      const { done, last, out, ends, left } = state;
      const lowest = Math.min(...p.rank.filter((_, step) => !(done & (1 << step))));
      for (let step = 0; step < p.count; step++) {
        if (done & (1 << step) || p.rank[step] !== lowest) continue;
        if (p.before[step]!.some((other) => !(done & (1 << other)))) continue;
        const setUp = p.setUp[step]!;
        const isOut = out.includes(setUp);
        const isInHand = last >= 0 && p.setUp[last] === setUp;
        let more = (taste * p.early[step]! * i) / Math.max(1, p.count - 1);
        const [x, y] = [p.from[2 * step]!, p.from[2 * step + 1]!];
        const end = ends[setUp]!;
        if (isOut && !isInHand) more += threadWeight * SECONDS.parkedNeedle;
        let rest = left[setUp]!;
        if (rest > 0) {
          const way = apart(x, y, p.to[2 * end]!, p.to[2 * end + 1]!);
          if (isOut && way <= p.travelMm && way < rest) {
            more += (way / 1000) * metreSeconds;
            rest -= way;
          } else if (rest - LOST_MM >= WORKING_LENGTH.leastToRestartMm) {
            more += threadWeight * (SECONDS.fastenOff + (isOut ? 0 : SECONDS.thread)) + (LOST_MM / 1000) * metreSeconds;
            rest -= LOST_MM;
          } else {
            more += (rest / 1000) * metreSeconds;
            rest = 0;
          }
        }
        const wanted = p.usedMm[step]! - rest;
        const lengths = wanted > 0 ? Math.ceil(wanted / p.usableMm[step]!) : 0;
        more += threadWeight * lengths * (SECONDS.thread + SECONDS.fastenOff);
        const nextLeft = left.map((old, own) => (own === setUp ? lengths * p.usableMm[step]! - wanted : old));
        if (last >= 0) {
          if (p.colour[step] !== p.colour[last]) {
            more += otherColour * (1 - p.byArea) + (isOut ? 0 : threadWeight * SECONDS.changeColour);
          }
          if (p.needle[step] !== p.needle[last]) more += p.family[step] === p.family[last] ? otherSize : otherFamily;
          if (p.position[step] !== p.position[last]) more += SECONDS.moveHoop;
          if (p.motif[step] !== p.motif[last]) more += otherMotif * p.byArea;
          more += eyeWeight * apart(x, y, p.to[2 * last]!, p.to[2 * last + 1]!);
        }
        const choices =
          isOut || out.length < p.needles
            ? [isOut ? out : [...out, setUp]]
            : out.map((given) => [...out.filter((other) => other !== given), setUp]);
        for (const nextOut of choices) {
          const sorted = [...nextOut].sort((a, b) => a - b);
          const nextEnds = ends.map((old, own) => (own === setUp ? step : old));
          const now = done | (1 << step);
          // Where a threading that is not out ended no longer matters, only what is left of it.
          const key = `${now}|${step}|${sorted.join()}|${sorted.map((own) => nextEnds[own]).join()}|${nextLeft.map((mm) => mm.toFixed(3)).join()}`;
          const known = next.get(key);
          if (!known || cost + more < known.cost) {
            next.set(key, {
              state: { done: now, last: step, out: sorted, ends: nextEnds, left: nextLeft },
              cost: cost + more,
            });
          }
        }
      }
    }
    layer = next;
  }
  return Math.min(...[...layer.values()].map(({ cost }) => cost));
}
