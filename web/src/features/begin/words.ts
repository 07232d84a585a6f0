import {
  byCount,
  formatDay,
  formatDurationRange,
  formatList,
  formatMoney,
  formatNumber,
  plural,
} from '@junctura/core/measure';
import { stitchKind, type StitchId } from '@junctura/core/stitches';

export const motifsFound = (count: number): string =>
  byCount(count, { one: '1 design', other: `${formatNumber(count)} designs` });

export const noMotif = (search: string): string =>
  `No design is called “${search}”. Try a shorter word, such as flower, sea or winter.`;

export const hoursThere = (hours: number): string =>
  `That leaves about ${formatNumber(hours, hours < 10 ? 1 : 0)} h at the hoop.`;

export const versionHours = ({ p10, p90 }: { p10: number; p90: number }): string => formatDurationRange(p10, p90);

const stitchNames = (stitches: readonly StitchId[]): string =>
  formatList(stitches.map((id) => stitchKind(id).inSentence));

export const stitchesToKnow = (stitches: readonly StitchId[]): string =>
  byCount(stitches.length, {
    one: `One stitch: ${stitchNames(stitches)}`,
    other: `${formatNumber(stitches.length)} stitches: ${stitchNames(stitches)}`,
  });

/** @param price in the coin of the shop; null where it is not known for all */
export function whatToBuy(skeins: number, price: number | null, coin: string): string {
  if (skeins === 0) return 'Nothing to buy';
  const bought = `${plural(skeins, 'skein')} to buy`;
  return price === null ? bought : `${bought}, about ${formatMoney(price, coin)}`;
}

export const inColours = (colours: number): string => plural(colours, 'colour');

export function ready(odds: number): string {
  const times = Math.round(10 * odds);
  if (times >= 10) return 'Ready by your day, almost certainly';
  if (times <= 0) return 'Not ready by your day';
  return byCount(times, {
    one: 'Ready by your day once in 10 times',
    other: `Ready by your day ${times} times out of 10`,
  });
}

export const withinTitle = (hours: number): string => `Within ${formatNumber(hours, hours < 10 ? 1 : 0)} h`;

const MOST_NAMED = 4;
function named(parts: readonly string[]): string {
  const names = parts.slice(0, MOST_NAMED).map((name) => `“${name}”`);
  const rest = parts.length - names.length;
  return formatList(rest > 0 ? [...names, plural(rest, 'more')] : names);
}

export const stitchedLess = (parts: readonly string[]): string => `Stitched less than usual: ${named(parts)}.`;

export const nextHour = (parts: readonly string[]): string => `One hour more would give more of ${named(parts)}.`;

export const tooShort = (asked: number, least: number): string =>
  `Even the simplest version takes about ${formatNumber(least, 1)} h, and you have ${formatNumber(asked, 1)} h. More evenings or a later day would do it.`;

export const skeinsOf = (name: string): string => `Skeins of ${name}`;

export const hoopOwned = (size: string): string => `${size} hoop`;

export const threadsThere = (count: number): string =>
  byCount(count, { one: '1 thread in your box', other: `${formatNumber(count)} threads in your box` });

export const farthest = (colour: string, difference: number): string =>
  `The farthest from the drawing is ${colour}, with a difference of ${formatNumber(difference)}.`;

export const readyBy = (day: Date): string => `Plan for ${formatDay(day)}`;

/** @param height how high the letters come out in a usual hoop @param least how high they have to be to be read */
export const letterHeight = (height: string, least: string, isLegible: boolean): string =>
  isLegible
    ? `In a usual hoop the letters come out ${height} high.`
    : `In a usual hoop the letters come out ${height} high; in thread they need ${least}. Plainer letters, a shorter word or a larger hoop will do.`;
