import { formatFine, formatList, formatNumber, formatPercent, plural } from '@junctura/core/measure';

export const needleAndShaft = (needle: string, shaft: string): string => `${needle}, ${shaft} thick`;

export const alsoCalled = (names: readonly string[]): string => `Also called ${formatList(names)}.`;

export const lineUpTo = (width: string): string => `a drawn line up to ${width} wide`;

export const strandsWide = (strands: number, width: string): string => `${plural(strands, 'strand')}, ${width} wide`;

export const fillingN = (number: number): string => `Filling ${number}`;

export const onTheFront = (thread: string): string => `on the front, ${thread}`;
export const onTheBack = (thread: string): string => `on the back, ${thread}`;

export const asItIsNow = (filling: string): string => `${filling}, as it is now`;

export const leaveOut = (stitch: string): string => `Remove ${stitch}`;

export const workPartIn = (part: string, stitch: string): string => `Use ${stitch} for “${part}”`;

export const knotSizes = (times: number): string =>
  `The size of a knot depends on the thread wound into it: strands, wraps and needle. On the left of each cell it is at true size (set the bar in the settings once), and beside it ${times} times as large.`;

export const backStitchesIn = (lineMm: number, usual: number): string =>
  `Back stitches in ${formatFine(lineMm)} (usual: ${formatNumber(usual)})`;

export const satinWidth = (stitches: number, usualMm: number): string =>
  `Width of ${stitches} satin stitches (usual: ${formatFine(usualMm)})`;

/** @param amount what of a stitch is meant: ten of them, or a length or area of it */
export const takes = (amount: string): string => (amount === 'ten' ? 'Ten of them take' : `${amount} takes`);

export const threadAndTime = (thread: string, time: string): string => `${thread}; ${time}`;

export const whatHolds = (
  limitsMm: { readonly worn: number; readonly handled: number; readonly framed: number },
  bestMm: number,
  leastMm: number,
): string =>
  `Then comes what holds: stitches up to ${formatFine(limitsMm.worn)} on things that are worn and washed, ${formatFine(limitsMm.handled)} on things that are handled, ${formatFine(limitsMm.framed)} in a frame. Satin looks its best up to ${formatFine(bestMm)} and needs at least ${formatFine(leastMm)}. Anything wider is tied in its middle, bricked, woven or worked in rows.`;

export const whatIsBeside = (turnDeg: number): string =>
  `Last comes what is next to it. Like parts are worked alike, and mirrored parts as mirror images. Petals run to the centre of their flower. Satin beside almost the same colour is turned by ${turnDeg}° or more. The reason on a part’s card gives the figures behind the choice, and what another school would do.`;

/** What was measured on the sampler against the usual: the width of the thread and the length of a stitch, as shares. */
export function yourHand(width: number, stitch: number): string {
  const [wide, long] = [width, stitch].map((share) => Math.round(100 * (share - 1)));
  const thread =
    wide === 0
      ? 'Your thread is as wide as usual'
      : wide! > 0
        ? `Your thread is ${formatPercent(wide! / 100)} wider than usual`
        : `Your thread is ${formatPercent(-wide! / 100)} narrower than usual`;
  if (long === 0) return `${thread}; your stitches are as long as usual.`;
  return long! > 0
    ? `${thread}; your stitches are ${formatPercent(long! / 100)} longer.`
    : `${thread}; your stitches are ${formatPercent(-long! / 100)} shorter.`;
}

export const twoStrandsWide = (widthMm: number): string => `Two strands of cotton are ${formatFine(widthMm)} wide.`;

export const knotAndWraps = (knot: string, wraps: number): string => `${knot}, ${plural(wraps, 'wrap')}`;
