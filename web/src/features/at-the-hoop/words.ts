import { byCount, formatDuration, formatList, formatNumber, formatPercent, plural } from '@junctura/core/measure';

export const needlesMissing = (count: number): string =>
  byCount(count, {
    one: 'One needle from last time has not been found yet.',
    other: `${count} needles from last time have not been found yet.`,
  });

export const needles = (needles: readonly string[]): string => `Needles: ${formatList(needles)}`;

export const leftAtPace = (hours: string): string => `${hours} left at your pace.`;

export const stitchedSoFar = (hours: string): string => `${hours} of stitching so far. Next, in order:`;

export const withoutTap = (time: string): string => `${time} without a tap: were you stitching, or away?`;

/** Which step of the guide it is, which of how many alike, and about how long it takes. */
export function stepNumber(
  step: { readonly number: number; readonly of: number; readonly part: number; readonly parts: number } | null,
  seconds: number,
): string {
  const time = formatDuration(Math.max(60, seconds) / 3600);
  if (!step) return `about ${time}`;
  const { number, of, part, parts } = step;
  return parts > 1
    ? `Step ${formatNumber(number)} of ${formatNumber(of)}, ${formatNumber(part)} of ${formatNumber(parts)} alike · about ${time}`
    : `Step ${formatNumber(number)} of ${formatNumber(of)} · about ${time}`;
}

export const doneAndNext = (done: string, next: string | null): string =>
  next === null ? `Done: ${done}. That was the last step.` : `Done: ${done}. Next: ${next}.`;

export const stepsDone = (done: number, count: number, share: number): string =>
  `${formatNumber(done)} of ${plural(count, 'step')}, ${formatPercent(share)} of the time`;

export const hoursOnDays = (hours: string, days: number): string =>
  days === 0 ? 'nothing yet' : `${hours} on ${plural(days, 'day')}`;

export const hoursAndThread = (hours: string, thread: string): string => `${hours}, ${thread} of thread`;

export const aboutDay = (day: string): string => `about ${day}`;

export const earnedSoFar = (money: string): string => `${money} so far`;

export const wentOut = (count: number): string =>
  `You took out ${count}. Look on the chair, the floor and your clothes before you get up.`;

export const howToWork = (stitch: string): string => `${stitch}: how to work it`;

export const unpicked = (part: string): string => `I unpicked ${part}`;

export const smallerOnes = (count: number): string =>
  byCount(count, { one: 'and one smaller one', other: `and ${count} smaller ones` });

export const shareAndStitches = (share: number, stitches: number): string =>
  `${formatPercent(share)}, ${plural(stitches, 'stitch', 'stitches')}`;

export const allStitches = (count: number): string => `Show all ${formatNumber(count)} stitches`;

export const photoOf = (day: string, steps: number): string => `The piece on ${day}, after ${plural(steps, 'step')}`;

export const dayAndStep = (day: string, step: number): string => `${day}, step ${step}`;

export const removePhoto = (day: string): string => `Remove the photograph of ${day}`;

export const sizeInBrowser = (size: string): string => `${size} in this browser.`;

export const enoughFor = (stitches: number): string =>
  byCount(stitches, {
    one: 'It is enough for about one stitch; then fasten off and start a new length.',
    other: `It is enough for about ${formatNumber(stitches)} stitches; then fasten off and start a new length.`,
  });

export const threadUsed = (part: string, length: string): string => `Thread used: ${part}, ${length}`;

export const sittingStarted = (needles: number): string => `Sitting started, ${plural(needles, 'needle')} out`;

export const sittingEnded = (needles: number): string => `Sitting ended, ${plural(needles, 'needle')} in`;

export const shareDone = (share: number, step: string): string => `${formatPercent(share)} done: ${step}`;

export const leftForLater = (step: string): string => `Left for later: ${step}`;

export const lookAgain = (step: string, note: string): string =>
  note ? `To look at again: ${step} (${note})` : `To look at again: ${step}`;

export const allEntries = (count: number): string => `Show all ${formatNumber(count)} entries`;

export const timesUsual = (factor: number): string =>
  `That is ${formatNumber(factor, 1)} times what is usual for it. Is it right?`;

export const moreThanOwned = (usedM: number, ownedM: number): string =>
  `With what was recorded before, ${formatNumber(usedM, 1)} m were used, and your box has enough for ${formatNumber(ownedM, 1)} m. Is it right?`;

export const ofLength = (length: string): string => `of ${length}`;

export const usedAndUsual = (used: string, usual: string): string =>
  `${used} of thread in the stitches, without starting and fastening off; ${usual} is usual.`;

export const learnedFrom = (records: number, usage: string, spread: number): string =>
  `From ${plural(records, 'record')}: overall you use ${usage}, give or take ${formatPercent(spread)}.`;

export const fromRecords = (count: number, recorded: string): string =>
  `from ${plural(count, 'record')}, which show ${recorded}`;

export const usual = (length: string): string => `usual ${length}`;

export const keepForFastening = (length: string): string =>
  `You need ${length} for that, and what is left over is too short to start anything.`;

export const stitchAndLength = (stitch: string, length: string): string => `${stitch}, ${length}`;

/**
 * @param positions hoop positions of this sitting, where there is more than one on the piece
 * @param isKnit whether the cloth stretches: then it is never pulled tight
 */
export function clothInHoop(cloth: string, positions: readonly number[], isKnit: boolean): string {
  const held = isKnit
    ? `${cloth} with its backing, flat in the hoop and not stretched`
    : `${cloth}, drum-tight in the hoop`;
  if (positions.length === 0) return held;
  return byCount(positions.length, {
    one: `${held}, in position ${positions[0]}`,
    other: `${held}, in positions ${positions.join(', then ')}`,
  });
}

export const clothInHand = (cloth: string, isKnit: boolean): string =>
  isKnit ? `${cloth} with its backing, held lightly and not stretched` : `${cloth}, held lightly in the hand`;

export const layBehindFirst = (backing: string): string =>
  `Before the first stitch: ${backing} behind the cloth, as the guide says`;

export const posture = (isHooped: boolean): string =>
  isHooped
    ? 'Light from the side, hoop raised to your eyes, back supported, both feet on the floor.'
    : 'Light from the side, forearms on a cushion so that the work comes up to your eyes, back supported, both feet on the floor.';

export const partAndStitch = (part: string, stitch: string): string => `${part}, ${stitch}`;

export const spokenStep = (part: string, stitch: string, thread: string, told: readonly string[]): string =>
  [part, stitch, thread, ...told].join('. ');

export const partDone = (part: string): string => `Part done: ${part}`;

export const stepDone = (step: string): string => `Done: ${step}`;

export const stepUnpicked = (step: string): string => `Unpicked: ${step}`;

export const finishStepDone = (step: string): string => `Finishing: ${step}`;

export const pieceFinished = (note: string): string => (note ? `Finished: ${note}` : 'Finished');

export const runName = (part: string, stitch: string, isDone: boolean): string =>
  isDone ? `${part}, ${stitch} (done)` : `${part}, ${stitch}`;

/** How much thread somebody uses against the usual. */
export function threadUse(factor: number): string {
  const percent = Math.round((factor - 1) * 100);
  if (percent === 0) return 'as much thread as usual';
  return percent > 0
    ? `${formatPercent(percent / 100)} more thread than usual`
    : `${formatPercent(-percent / 100)} less thread than usual`;
}

/** How long somebody takes against the usual; null: as long. */
export function pace(factor: number): string | null {
  const percent = Math.round(100 * (factor - 1));
  if (percent === 0) return null;
  return percent > 0 ? `${formatPercent(percent / 100)} slower` : `${formatPercent(-percent / 100)} quicker`;
}

export const paceThanUsual = (factor: number): string => {
  const words = pace(factor);
  return words === null ? 'at the usual pace' : `${words} than usual`;
};

export const usedOn = (use: { day: string; part: string; stitch: string; length: string }): string =>
  `${use.day}: ${use.part}, ${use.stitch}, ${use.length}`;

export const threadOf = (colour: string, strands: number, needle: string): string =>
  `${colour}, ${plural(strands, 'strand')}, ${needle} needle`;

export const datedAhead = (ms: number): string =>
  `Some of this record is dated up to ${formatDuration(ms / 3_600_000)} later than now: the clock of one of your devices was ahead. It counts all the same.`;

export const GONE_PART = 'a part that no longer exists';

export const GONE_STEP = 'a step that no longer exists';

export const stitchAndLayer = (stitch: string, layer: string): string =>
  layer === '' ? stitch : `${stitch}, ${layer}`;

export const scrapLaid = (name: string): string => `Scrap laid and held: ${name}`;

export const laidAndNext = (name: string, next: string): string => `${name} is laid. Next: ${next}.`;

export const numberOf = (number: number, of: number): string => `Step ${number} of ${of}`;
