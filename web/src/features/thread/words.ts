import { byCount, formatFine, formatList, formatNumber, formatPercent, plural } from '@junctura/core/measure';

export const skeinsEnough = (count: number, percent: number): string =>
  byCount(count, {
    one: `1 skein is enough ${percent} times out of 100`,
    other: `${formatNumber(count)} skeins are enough ${percent} times out of 100`,
  });

export const countOdds = (count: number, percent: number): string => `${formatNumber(count)}: ${percent} in 100`;

export const pricesFrom = (when: string): string => `These prices are from ${when}.`;

export const simulatedPrices = (when: string): string => `Prices and stock of a simulated thread shop, ${when}.`;

export const enoughOf = (names: readonly string[]): string => `You have enough of ${formatList(names)}.`;

export const hoursOfWork = (hours: number): string => `About ${plural(Math.round(hours), 'hour')} of work`;

export const notIncluded = (count: number): string =>
  byCount(count, {
    one: 'Not included: one thing without a known price.',
    other: `Not included: ${formatNumber(count)} things without a known price.`,
  });

export const leftOver = (strands: number, length: string): string =>
  `${plural(strands, 'strand')} of ${length} left over to keep`;

export const allReach = (odds: number, runs: number): string =>
  `With these skeins, every colour is enough ${Math.round(100 * odds)} times out of 100 (tried ${formatNumber(runs)} times by chance).`;

export const lengthN = (number: number): string => `Length ${number}`;

export const sharedFor = (needlefuls: string, parts: string): string => `${needlefuls} for ${parts}`;

export const keptForFineLine = (count: number): string =>
  byCount(count, { one: '1 spare strand for a fine line', other: `${count} spare strands for a fine line` });

export const reserveFor = (piece: string): string => `Reserve for ${piece}`;

export const reserved = (length: string): string => `${length} reserved`;

export const noneOwned = (putUps: string): string => `You have none; ${putUps} to buy.`;

export const ofLot = (length: string, lot: string): string =>
  lot ? `${length} of dye lot ${lot}` : `${length} of an unknown dye lot`;

export const lostOfEach = (startMm: number, stopMm: number, knotsMm: number, unpicked: number): string =>
  `Each length loses ${formatFine(startMm)} at the start, and ${formatFine(stopMm)} must stay to fasten off (${formatFine(knotsMm)} for knots). ${formatPercent(unpicked)} is added for unpicking.`;

export const stitchesTake = (thread: string, hours: string): string =>
  `The stitches take ${thread} of thread and ${hours} of work, including threading and fastening off.`;

export const kindAndLot = (kind: string, lot: string | null): string => (lot ? `${kind}, dye lot ${lot}` : kind);

export const saves = (length: string, enough: string): string => `saves ${length}; then it is ${enough}`;

export const fromOtherLot = (length: string, enough: string): string =>
  `${length} from the other dye lot; then the first is ${enough}`;

/** @param short what is missing for nine times in ten; null: nothing */
export const ownedAndNeeded = (owned: string, needed: string, enough: string, short: string | null): string =>
  short === null
    ? `You have ${owned} and need about ${needed}: ${enough}.`
    : `You have ${owned} and need about ${needed}: ${enough}. ${short} more makes it nine times in ten.`;

/** @param half the skeins that are enough every other time */
export const enoughNineInTen = (skeins: number, half: number): string => {
  const enough = 'Enough nine times out of ten.';
  if (half === skeins) return enough;
  return byCount(half, {
    one: `${enough} Half the time, one is enough.`,
    other: `${enough} Half the time, ${formatNumber(half)} are enough.`,
  });
};

/** How the thread of a colour is cut. @param cut.spare strands left of lengths, in words; null: none */
export function howCut(cut: { needlefuls: number; lengths: number; metres: number; spare: string | null }): string {
  const { needlefuls, lengths, metres, spare } = cut;
  const made = `${plural(needlefuls, 'needleful')} from ${plural(lengths, 'length')}, ${formatNumber(metres, 1)} m off the skein`;
  return spare === null ? `${made}.` : `${made}; ${spare}.`;
}

export const lostOfLength = (length: string, lost: string): string =>
  `Of each ${length} length, about ${lost} goes on starting, fastening off and ends too short to use. Longer lengths waste less but wear more.`;

export const chooseAnotherFor = (shade: string): string => `Choose another shade instead of ${shade}`;
