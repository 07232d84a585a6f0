import { formatList, formatNumber, formatPercent, plural } from '@junctura/core/measure';

export const sizeAcross = (what: string): string => `${what}, width`;

export const finishCost = (end: string, steps: number, time: string): string =>
  `${end} · ${plural(steps, 'step')} · about ${time}`;

export const edgeThread = (length: string): string => ` · ${length} of thread for the edge`;

export const stepsDone = (done: number, steps: number): string =>
  `${formatNumber(done)} of ${plural(steps, 'step')} done`;

export const aboutLeft = (time: string): string => ` · about ${time} left`;

export const finishedOn = (day: string): string => `Finished on ${day}`;

export const toShelf = (piece: string): string =>
  `“${piece}” goes on the finished shelf of the bench. What would you like to remember next time?`;

export const madeOf = (cloth: string, threads: readonly string[]): string =>
  `${cloth}, stitched by hand in ${formatList(threads)}.`;

export const hoursOfWork = (time: string): string => `${time} of work`;

export const noPriceFor = (things: readonly string[]): string =>
  `The simulated thread shop has no price for these, so they are not included: ${formatList(things)}.`;

export const hourEarns = (price: string, earned: string): string =>
  `At ${price}, an hour earns ${earned} once thread and materials are paid for.`;

/** What something took against its plan. @param share of what was planned */
export function againstPlan(share: number): string {
  const percent = Math.round((share - 1) * 100);
  if (percent === 0) return 'as planned';
  return percent > 0
    ? `${formatPercent(percent / 100)} more than planned`
    : `${formatPercent(-percent / 100)} less than planned`;
}

export const figureAndPlan = (figure: string, plan: string): string => `${figure}, ${plan}`;
