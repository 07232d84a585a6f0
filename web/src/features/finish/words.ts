import {
  formatLength,
  formatList,
  formatNumber,
  formatPercent,
  formatThread,
  plural,
  type UnitSystem,
} from '@junctura/core/measure';
import type { FinishStep } from '@junctura/core/finish';
import type { End } from '@junctura/core/piece';

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

export const END_NAMES: Readonly<Record<End, { readonly name: string; readonly says: string }>> = {
  framed: { name: 'Framed in its hoop', says: 'cloth gathered at the back, with a disc over it' },
  board: { name: 'On a board', says: 'padded, laced at the back, ready to frame' },
  patch: { name: 'Patch', says: 'edged through all layers, sewn onto something' },
  ornament: { name: 'Stuffed ornament', says: 'two pieces, filled, on a cord' },
  card: { name: 'Card', says: 'in a window, or on the whole front' },
  cushion: { name: 'Cushion or bag', says: 'a backed panel with a seam all round' },
  garment: { name: 'On a garment', says: 'backed, with all knots secured' },
  whitework: { name: 'Edged cloth', says: 'scallops all round, a fringe if you like' },
};

/** Which of a step’s amounts are told beside its text, in this order. */
const TOLD: Readonly<Record<string, (value: number, units: UnitSystem) => string>> = {
  stitches: (value) => plural(Math.round(value), 'stitch', 'stitches'),
  threads: (value) => `${formatNumber(value)} threads across`,
  threadMm: (value, units) => `${formatThread(value, units)} of thread`,
  loads: (value) => plural(Math.round(value), 'needleful'),
  skeins: (value) => plural(Math.round(value), 'skein'),
  outlineMm: (value, units) => `${formatLength(value, units)} round`,
  edgeMm: (value, units) => `${formatLength(value, units)} of edge`,
  areaMm2: (value) => `${formatNumber(value / 100, value > 10_000 ? 0 : 1)} cm²`,
  volumeMm3: (value) => `${formatNumber(value / 1000)} cm³`,
  yarnMm: (value, units) => `${formatThread(value, units)} of yarn`,
  longMm: (value, units) => `${formatLength(value, units)} long`,
  tapeMm: (value, units) => `${formatLength(value, units)} of tape`,
  cordMm: (value, units) => `${formatLength(value, units)} of cord`,
  rows: (value) => plural(Math.round(value), 'row'),
  tails: (value) => `about ${plural(2 * Math.round(value), 'tail')}`,
};

/** The amounts of a step in words. */
export function amountsInWords({ amounts }: FinishStep, units: UnitSystem): string {
  return Object.entries(TOLD)
    .filter(([name]) => (amounts[name] ?? 0) > 0)
    .map(([name, told]) => told(amounts[name]!, units))
    .join(' · ');
}

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
