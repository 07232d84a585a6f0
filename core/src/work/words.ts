import { formatList, formatNumber, formatPercent, plural } from '../measure/index.ts';

export const paintIn = (shades: number): string => `Paint from the picture in ${plural(shades, 'shade')}`;

export const shadeIn = (shades: number): string => `Shade in ${plural(shades, 'shade')}`;

export const flies = (advance: string, tie: string): string =>
  `Each V lies ${advance} below the last, so that the arms touch; its tie is ${tie} long.`;

export const knotAcross = (across: string): string => `Each knot will be ${across} across in this thread.`;

export const roomAlong = (shades: number): string => `There is room for ${plural(shades, 'shade')}.`;

export const roomAlongAcross = (along: number, across: number): string =>
  `There is room for ${plural(along, 'shade')} along it, and ${formatNumber(across)} across.`;

const byQuarters = (petals: readonly number[]): string =>
  petals.every((count) => count === petals[0])
    ? `Each quarter takes ${plural(petals[0]!, 'petal')}.`
    : `From the top and round to the left, the quarters take ${formatList(petals.map((count) => formatNumber(count)))} petals.`;

export const petals = (inQuarters: readonly number[]): string =>
  `${byQuarters(inQuarters)} The marks only guide your eye.`;

export const petalsCrowd = (inQuarters: readonly number[], fit: number): string =>
  `${byQuarters(inQuarters)} They will crowd: the inner ring has room for ${formatNumber(fit)}. Make it larger, or work fewer.`;

export const workAllIn = (thread: string): string => `Use ${thread} throughout`;

/** How many wraps cover a coil, and how the wraps that were chosen lie: sparse, arched up into a loop, or close. */
export const coil = {
  sparse: (covers: number, span: string, wraps: number): string =>
    `In this thread ${plural(covers, 'wrap')} cover ${span}; yours, ${wraps}, lie sparse.`,
  arched: (covers: number, span: string, wraps: number): string =>
    `In this thread ${plural(covers, 'wrap')} cover ${span}; yours, ${wraps}, arch up into a loop.`,
  close: (covers: number, span: string, wraps: number): string =>
    `In this thread ${plural(covers, 'wrap')} cover ${span}; yours, ${wraps}, sit close and flat.`,
} as const;

// Where the thread of a layer goes.

export const onTheFront = (length: string): string => `${length} on the front`;

export const onTheBack = (length: string): string => `${length} on the back`;

export const roundTheNeedle = (length: string): string => `${length} round the needle`;

export const throughTheCloth = (length: string): string => `${length} through the cloth`;

export const threadAlong = (ways: readonly string[], slack: number): string =>
  `The needle’s path takes ${formatList(ways)}, and ${formatPercent(slack, 1)} more for slack.`;

export const timesArea = (spacing: string, times: number): string =>
  `Stitches are ${spacing} apart, so the thread on the front is ${formatNumber(times, 2)} times the area divided by that.`;

/** What the seconds of one stitch are made of. */
interface SecondsEach {
  readonly each: number;
  readonly stab: number;
  readonly loop: number;
  readonly wrap: number;
  readonly findSeconds: number;
  /** By how much longer it takes to see where each stitch belongs; 1: no longer. */
  readonly slower: number;
  /** The share that turning the hoop and looking add. */
  readonly looking: number;
}

export function secondsEach({ each, stab, loop, wrap, findSeconds, slower, looking }: SecondsEach): string {
  const parts = [
    `${formatNumber(stab, 1)} s for each time through the cloth`,
    `${formatNumber(loop, 1)} s for each loop`,
    `${formatNumber(wrap, 1)} s for each wrap`,
    ...(findSeconds > 0 ? [`${formatNumber(findSeconds, 1)} s to find the place`] : []),
    `${formatPercent(looking)} for turning the hoop and looking`,
  ];
  const whole = `One stitch takes ${formatNumber(each, 1)} s: ${formatList(parts)}. Threading is extra.`;
  return slower > 1
    ? `${whole} Seeing where each stitch belongs makes it ${formatNumber(slower, 1)} times as long.`
    : whole;
}
