import { SECONDS } from '../materials/index.ts';
import { normalShare } from '../measure/index.ts';
import type { StitchId } from '../stitches/index.ts';
import { hoopMoves, stepSeconds, Z90, type Plan } from '../thread/index.ts';
import { stitchPace, type Pace, type PaceIfSteady } from './pace.ts';
import type { WorkSoFar } from './work.ts';

/** How far what is still to come lies from the pace, beside what is not known of the pace: days are good and bad. */
const FROM_DAY_TO_DAY = 0.01;

export interface Forecast {
  /** Time at the hoop that is left, s. */
  readonly seconds: { readonly p10: number; readonly p50: number; readonly p90: number };
  readonly threadMm: number;
}

/** What is left of one stitch, at the usual pace: s, and the sum of the squares of its steps. */
interface LeftOfStitch {
  seconds: number;
  squares: number;
}

/**
 * What is left to do, at the pace that was learned: a range that narrows as more is known. Before the first step it is all that was planned,
 * with the cloth to be mounted.
 */
export function forecast(soFar: Pick<WorkSoFar, 'done' | 'left' | 'begun'>, plan: Plan, pace: Pace): Forecast {
  const numbers = new Map(plan.order.map(({ key }, i) => [key, i]));
  const left = new Map<StitchId, LeftOfStitch>();
  let threadMm = 0;
  for (const step of soFar.left) {
    const work = plan.work[numbers.get(step.key) ?? -1];
    if (!work) continue;
    const share = 1 - (soFar.begun.get(step.key) ?? 0);
    const seconds = share * stepSeconds(work);
    const own = left.get(step.stitch) ?? { seconds: 0, squares: 0 };
    left.set(step.stitch, own);
    own.seconds += seconds;
    own.squares += seconds ** 2;
    threadMm += share * step.threadMm;
  }
  const around = atTheHoop(soFar);
  const ways = pace.ifSteady.map((one) => ({ weight: one.weight, ...wholeIf(one, left, around) }));
  const quantile = (below: number): number => mixedQuantile(ways, below);
  return { seconds: { p10: quantile(-Z90), p50: quantile(0), p90: quantile(Z90) }, threadMm };
}

/** The time that is left if her steps lie so far apart: the logarithm of its median, s, and its spread. */
function wholeIf(
  pace: PaceIfSteady,
  left: ReadonlyMap<StitchId, LeftOfStitch>,
  around: number,
): { log: number; spread: number } {
  const parts = [...left].map(([stitch, { seconds, squares }]) => {
    const { log, variance, byHand } = stitchPace(pace, stitch);
    const factor = Math.exp(log);
    return { mean: seconds * factor, squares: squares * factor ** 2, variance, byHand };
  });
  const all = parts.reduce((sum, { mean }) => sum + mean, around);
  if (all <= 0) return { log: -Infinity, spread: 0 };
  // What is not known of each stitch averages out over all; what is not known of the hand does not.
  let [hand, rest] = [0, 0];
  const steps = Math.exp(pace.spread ** 2) - 1;
  for (const { mean, squares, variance, byHand } of parts) {
    hand += (byHand * mean) / all;
    rest += (mean / all) ** 2 * variance + (steps * squares) / all ** 2;
  }
  const variance = Math.log(1 + hand ** 2 * pace.variance + rest + FROM_DAY_TO_DAY ** 2);
  return { log: Math.log(all), spread: Math.sqrt(variance) };
}

/**
 * A quantile of several lognormal laws, each as likely as its weight.
 * @param z which: the quantile of the standard normal law
 */
function mixedQuantile(ways: readonly { weight: number; log: number; spread: number }[], z: number): number {
  const wanted = normalShare(z);
  const ends = ways.map(({ log, spread }) => log + z * spread);
  let [low, high] = [Math.min(...ends), Math.max(...ends)];
  if (!Number.isFinite(low)) return 0;
  for (let i = 0; i < 50 && high - low > 1e-9; i++) {
    const at = (low + high) / 2;
    const below = ways.reduce((sum, { weight, log, spread }) => sum + weight * normalShare((at - log) / spread), 0);
    if (below < wanted) low = at;
    else high = at;
  }
  return Math.exp((low + high) / 2);
}

/** A range of hours. */
interface Hours {
  readonly p10: number;
  readonly p50: number;
  readonly p90: number;
}

/** The hours that a piece takes in all: before the first step those that are planned, from then on those that were worked and those that are left. */
export function hoursInAll(
  soFar: Pick<WorkSoFar, 'done' | 'begun' | 'seconds'>,
  { seconds }: Forecast,
  planned: Hours,
): Hours {
  if (soFar.done.length === 0 && soFar.begun.size === 0) return planned;
  const whole = (left: number): number => (soFar.seconds + left) / 3600;
  return { p10: whole(seconds.p10), p50: whole(seconds.p50), p90: whole(seconds.p90) };
}

/** What mounting the cloth and moving the hoop still take, s. */
function atTheHoop({ done, left, begun }: Pick<WorkSoFar, 'done' | 'left' | 'begun'>): number {
  if (left.length === 0) return 0;
  const isMounted = done.length > 0 || begun.size > 0;
  const last = done.at(-1)?.step;
  return (isMounted ? 0 : SECONDS.mountCloth) + SECONDS.moveHoop * hoopMoves(last ? [last, ...left] : left);
}
