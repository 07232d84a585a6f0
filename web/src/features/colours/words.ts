import type { Seeing } from '@junctura/core/colour';
import { byCount, formatFine, formatList, formatNumber, plural } from '@junctura/core/measure';

export const asDrawn = (count: string): string => `${count}; matches the drawing`;

export const awayFromDrawn = (count: string, difference: string): string =>
  `${count}. Compared with the drawing: ${difference}`;

export const tooNear = (colours: readonly (string | undefined)[]): string =>
  `too close to ${formatList(colours.filter((name) => name !== undefined))}`;

export const nearestFor = (colours: number): string =>
  byCount(colours, {
    one: 'Use the nearest shade',
    other: `Use the nearest shades for ${formatNumber(colours)} colours`,
  });

/** Colours that were drawn apart and come to a shade of one name each. */
export const cameToOneShade = (shades: readonly string[]): string =>
  byCount(shades.length, {
    one: `Two colours came to ${shades[0]}: they are one row and one skein now.`,
    other: `Several colours came to the same shades, ${formatList(shades)}: each is one row and one skein now.`,
  });

export const colourwayName = (number: number): string => `Colourway ${number}`;

export const usePalette = (name: string): string => `Use the palette “${name}”`;

export const partsFromLot = (count: number): string => `Use this dye lot for ${plural(count, 'part')}`;

export const pictureUnreadable = (why: string): string => `The picture can’t be read: ${why}`;

export const fromPicture = (count: number): string => `From a picture, ${plural(count, 'shade')}`;

export const allPairs = (count: number): string =>
  byCount(count, { one: 'Show the pair', other: `Show all ${formatNumber(count)} pairs` });

export const difference = (difference: number): string => `difference ${formatNumber(difference)}`;

export const lightnessApart = (one: string, other: string, steps: number): string =>
  `${one} beside ${other}; ${formatNumber(steps)} of 100 steps of lightness apart.`;

export const firstAndMore = (first: string, more: number): string =>
  more > 0 ? `${first} and ${formatNumber(more)} more` : first;

export const noShadeYet = (count: string, nearest: string): string =>
  `${count}; no shade chosen yet, the nearest is ${nearest}`;

export const dyeLot = (lot: string): string => `dye lot ${lot}`;

export const differenceAndEffect = (difference: string, effect: string): string => `${difference}, ${effect}`;

export const ladderStep = (difference: number, isTooClose: boolean): string =>
  isTooClose ? `too close: difference ${formatNumber(difference)}` : `difference ${formatNumber(difference)}`;

/** A shade of a ladder with what it is for, where it has a name for that. */
export const rung = (shade: string, role: string | null): string => (role === null ? shade : `${shade}, ${role}`);

export const fewRungs = (count: number): string =>
  byCount(count, {
    one: 'There is only one shade to make a ladder of.',
    other: `There are only ${count} shades to make a ladder of.`,
  });

export function roomInAreas(areas: number, shades: number, rowMm: number): string {
  const each = byCount(shades, {
    one: `one shade, about ${formatFine(rowMm)} wide`,
    other: `${shades} shades, about ${formatFine(rowMm)} each`,
  });
  return byCount(areas, {
    one: `Its area has room for ${each}.`,
    other: `The narrowest of its areas has room for ${each}.`,
  });
}

export const workPartInShades = (part: string): string => `Work “${part}” in these shades`;

export const workPartsInShades = (count: number): string => `Work ${formatNumber(count)} parts in these shades`;

/** @param parts the names of those whose stitch can't hand shades on */
export const becomesLongShort = (parts: readonly string[]): string =>
  parts.length === 1
    ? `The stitch of “${parts[0]!}” can’t be shaded: it will be worked in long-and-short stitch.`
    : `The stitches of ${formatNumber(parts.length)} of them can’t be shaded: they will be worked in long-and-short stitch.`;

/** The parts that meet in two colours; one part where it is shaded. */
export function whereTouching(one: string, other: string, more: number): string {
  if (one === other) return more > 0 ? `Within ${one}, and ${plural(more, 'more place')}` : `Within ${one}`;
  return more > 0 ? `${one} and ${other}, and ${plural(more, 'more place')}` : `${one} and ${other}`;
}

export const allDistinct = (pairs: number): string =>
  byCount(pairs, {
    one: 'The two colours that touch are easy to tell apart.',
    other: `All ${formatNumber(pairs)} pairs of colours that touch are easy to tell apart.`,
  });

export const savedColourway = (distinct: string): string => `saved; ${distinct}`;

/** Ways of seeing, as they are called. */
export const SEEING_WORDS: Readonly<Record<Seeing | 'armsLength', string>> = {
  daylight: 'By daylight',
  lamp: 'By lamplight',
  grey: 'In grey',
  protan: 'With no red (protan)',
  deutan: 'With no green (deutan)',
  tritan: 'With no blue (tritan)',
  armsLength: 'From arm’s length',
};
