import { byCount, formatFine, formatList, formatNumber, plural } from '@junctura/core/measure';
import type { RuleId } from '@junctura/core/order';

export function doneBy(odds: number, even: number, sure: number): string {
  const percent = Math.round(100 * odds);
  const sittings = `${plural(even, 'sitting')} a week ${byCount(even, { one: 'makes', other: 'make' })} it an even chance, ${formatNumber(sure, 2)} make it nine in ten.`;
  if (percent === 0) return `At your pace it will not be finished by then. ${sittings}`;
  if (percent === 100) return `At your pace it will be finished by then. ${sittings}`;
  return byCount(percent, {
    one: `At your pace it will be finished by then once in 100 times. ${sittings}`,
    other: `At your pace it will be finished by then ${percent} times out of 100. ${sittings}`,
  });
}

export const dayOfSitting = (sitting: number): string => `Day of sitting ${sitting}`;

export const calendarEvents = (count: number): string =>
  byCount(count, {
    one: '1 event. If you import it again, it is updated.',
    other: `${formatNumber(count)} events. If you import them again, they are updated.`,
  });

export const morePages = (count: number): string =>
  byCount(count, { one: '… and one more page.', other: `… and ${count} more pages.` });

export const hoopMoved = (times: number): string =>
  byCount(times, { one: ' · the hoop moved once', other: ` · the hoop moved ${times} times` });

export const lengthsStarted = (count: number): string =>
  byCount(count, {
    one: 'A new length of thread is started for it.',
    other: `${count} lengths of thread are started for it.`,
  });

/** Said of a part that is wanted at one end of the order, where others must come before or after it. */
export function asNearAsCanBe(end: 'first' | 'last', parts: readonly string[]): string {
  const names = parts.slice(0, MOST_NAMED).map((name) => `“${name}”`);
  const rest = parts.length - names.length;
  const list = formatList(rest > 0 ? [...names, plural(rest, 'more part')] : names);
  return end === 'first'
    ? `It comes as early as it can; first must come ${list}.`
    : `It comes as late as it can; after it must come ${list}.`;
}
const MOST_NAMED = 3;

export const notKept = (wish: string): string =>
  `This could not be kept, because what you fixed contradicts itself: ${wish}`;

export const sittingN = (sitting: number): string => `Sitting ${sitting}`;

export const clothAllows = (mm: number): string => `This cloth allows ${formatFine(mm)}.`;

export const comparing = (done: number, all: number): string => `Comparing: ${done} of ${all} ways`;

export const stepOf = (step: number, count: number, part: string, stitch: string): string =>
  `Step ${step} of ${count}: ${part}, ${stitch}`;

/** With what a step is worked. @param step.position of the hoop, where there are several */
export function howThreaded(step: { colour: string; needle: string; position: number | null; thread: string }): string {
  const { colour, needle, position, thread } = step;
  return position === null
    ? `${colour}, ${needle} needle. ${thread}`
    : `${colour}, ${needle} needle, hoop position ${position}. ${thread}`;
}

export const needlesToLayOut = (needles: readonly string[]): string =>
  byCount(needles.length, {
    one: `One needle: ${formatList(needles)}`,
    other: `${formatNumber(needles.length)} needles: ${formatList(needles)}`,
  });

export const hoopIn = (positions: readonly number[]): string =>
  byCount(positions.length, {
    one: `Hoop in position ${positions[0]}`,
    other: `Hoop in positions ${positions.join(', then ')}`,
  });

export const finishes = (parts: readonly string[]): string =>
  parts.length > 0 ? `You will finish: ${formatList(parts)}.` : 'No part will be finished, but you will be nearer.';

export function orderCost(cost: {
  steps: number;
  sittings: number;
  time: string;
  threadings: number;
  colourChanges: number;
}): string {
  return [
    `${plural(cost.steps, 'step')} in ${plural(cost.sittings, 'sitting')}`,
    cost.time,
    byCount(cost.threadings, { one: 'threaded once', other: `threaded ${formatNumber(cost.threadings)} times` }),
    plural(cost.colourChanges, 'change of colour', 'changes of colour'),
  ].join(' · ');
}

/** What a move goes against, by the rule, and what it will look like. */
export const against: Readonly<Record<RuleId, (other: string) => string>> = {
  own: (other) => `You fixed ${other} the other way round.`,
  layers: (other) => `${other} belongs below it, so the upper layer will be covered.`,
  ground: (other) => `${other} is the background it lies on.`,
  behind: (other) => `${other} overlaps it the other way round, so its edge will show.`,
  outline: (other) => `You chose the other order for outlines, so the edge along ${other} may be less crisp.`,
  'raised-last': (other) => `The hoop will press on raised stitches because of ${other}.`,
  fur: (other) => `${other} would lie over it: its ends will show, and the hair will look brushed backwards.`,
  'in-turn': (other) => `${other} is the zone before it, and its needles would have to wait.`,
  features: (other) => `${other} has a rim that the hair should go over, so it will look stuck on.`,
};

/** More of what a move goes against is told as a number. */
const MOST_TOLD = 3;

export function fixedAgainst(part: string, broken: readonly string[]): string {
  if (broken.length === 0) return `“${part}” is fixed there.`;
  const told = `“${part}” is fixed there, but: ${broken.slice(0, MOST_TOLD).join(' ')}`;
  const rest = broken.length - MOST_TOLD;
  return rest > 0 ? `${told} And ${formatNumber(rest)} more.` : told;
}

/** @param step the number of the step */
export const carriesOn = (step: number): string => `Carries on with step ${formatNumber(step)}.`;

export const stitchInColour = (stitch: string, colour: string, strands: number): string =>
  `${stitch}, ${plural(strands, 'strand')} of ${colour}`;
