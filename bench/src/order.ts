import { Planner } from '@junctura/core/advice';
import { drawingOrder, problemOf, Scale, solve, stepsOf, type Problem } from '@junctura/core/order';
import type { Piece } from '@junctura/core/piece';
import { colourNeeds, orderBound, orderTotals, type Plan } from '@junctura/core/thread';
import { USUAL_FACTORS } from '@junctura/core/work';
import { exactCost, randomProblem } from '../../core/src/testing/orders.ts';
import { groundPiece } from './grounds.ts';
import { median, medianMs } from './median.ts';

/** Small pieces of which the best order is known. */
const SMALL = 200;

function problem(piece: Piece, { parts }: Plan): Problem {
  return problemOf(piece, parts, stepsOf(piece, parts), []).problem;
}

/** Lengths that are threaded where every step is begun with a new one, and fastened off before the next. */
function partByPart(piece: Piece, { parts, spread }: Plan): number {
  return drawingOrder(piece, parts).steps.reduce(
    (sum, step) => sum + colourNeeds(piece, parts, [step], spread).reduce((all, { loads }) => all + loads, 0),
    0,
  );
}

/** How good the order of work is, and what it takes. @param demos by their names */
export function benchOrder(demos: ReadonlyMap<string, Piece>): string[] {
  const lines: string[] = [];
  const fewer: number[] = [];
  const most: number[] = [];
  for (const [name, piece] of demos) {
    const { plan } = new Planner().plan(piece, USUAL_FACTORS);
    const { threadings } = orderTotals(piece, plan);
    const apart = partByPart(piece, plan);
    fewer.push(1 - threadings / apart);
    most.push(1 - orderBound(piece, plan).threadings / apart);
    if (name === 'rock-pool' || name === 'seed-head-cloth') {
      const bound = orderBound(piece, plan).threadings;
      lines.push(
        `threadings of ${name} / least possible: ${(threadings / bound).toFixed(3)} (${threadings} and ${bound})`,
      );
    }
  }
  lines.push(
    `threadings fewer than part by part as drawn, in the middle of ${demos.size} pieces: ${Math.round(100 * median(fewer))} %; no order could do better than ${Math.round(100 * median(most))} %`,
  );
  const portrait = groundPiece(20_000, 200);
  for (const [name, piece] of [
    ['Rock Pool', demos.get('rock-pool')!],
    ['200 parts', portrait],
  ] as const) {
    const { plan } = new Planner().plan(piece, USUAL_FACTORS);
    const whole = medianMs(() => new Planner().plan(piece, USUAL_FACTORS), 3);
    const own = problem(piece, plan);
    const first = medianMs(() => solve(problem(piece, plan), { tries: 0 }), 5);
    const last = medianMs(() => solve(own), 5);
    lines.push(
      `order of ${name} / planning all of it: first ${(first / whole).toFixed(3)}, last ${(last / whole).toFixed(3)}`,
    );
  }
  const gaps = Array.from({ length: SMALL }, (_, i) => {
    const small = randomProblem(i + 1, 4 + (i % 9));
    return new Scale(small).weigh(solve(small)) / exactCost(small) - 1;
  });
  const mean = gaps.reduce((sum, gap) => sum + gap, 0) / SMALL;
  lines.push(
    `order / the best of all, ${SMALL} small pieces: ${percent(mean)} dearer in the mean, ${percent(Math.max(...gaps))} at worst`,
  );
  const sizes = [50, 100, 200, 400, 800, 2000];
  const times = sizes.map((steps) => medianMs(() => solve(randomProblem(1, steps)), 3));
  lines.push(`time for an order grows from 50 to 2,000 steps with exponent ${slope(sizes, times).toFixed(2)}`);
  return lines;
}

const percent = (share: number): string => `${(100 * share).toFixed(2)} %`;

/** The exponent with which times grow, by least squares of the logarithms. */
function slope(sizes: readonly number[], times: readonly number[]): number {
  const [x, y] = [sizes.map(Math.log), times.map(Math.log)];
  const mean = (values: readonly number[]): number => values.reduce((sum, value) => sum + value, 0) / values.length;
  const [mx, my] = [mean(x), mean(y)];
  return (
    x.reduce((sum, own, i) => sum + (own - mx) * (y[i]! - my), 0) / x.reduce((sum, own) => sum + (own - mx) ** 2, 0)
  );
}
