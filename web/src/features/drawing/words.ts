import type { Tidied, TidyRule } from '@junctura/core/drawing';
import { byCount, formatFine, formatList, formatNumber, plural } from '@junctura/core/measure';

export const oneOfGroup = (size: number): string => ` · one of ${size} in a group`;

export const partsPicked = (count: number): string => plural(count, 'part');

export const oneOfLike = (size: number): string => `One of ${size} parts in a group.`;

export const simplify = (from: number, to: number): string =>
  `Simplify: ${formatNumber(from)} → ${formatNumber(to)} corners`;

export const lettersTooSmall = (strands: number, leastMm: number): string =>
  `In ${strands} strands, these letters need to be ${formatFine(leastMm)} high: enlarge them, or work them in one strand.`;

export const lettersFrom = (strands: number, leastMm: number): string =>
  `In ${strands} strands, letters can be as small as ${formatFine(leastMm)}.`;

export const addCount = (count: number): string => `Add ${plural(count, 'part')}`;

export const cornerHandle = (corner: string): string =>
  `${corner}: drag, or move with the arrow keys, further with Shift`;

export const endHandle = (end: number): string =>
  `End ${end} of the known length: drag, or move with the arrow keys, further with Shift`;

export const partsAndColours = (parts: number, colours: number): string =>
  `${plural(parts, 'part')} in ${plural(colours, 'colour')}`;

export const partlyBehind = (first: string, more: number): string =>
  more > 0 ? ` · partly behind ${first} and ${formatNumber(more)} more` : ` · partly behind ${first}`;

export const addHelper = (helper: string): string => `Add: ${helper}`;

/** @param source the name of the file that they came from; null: drawn here */
export function partsOfDrawing(count: number, source: string | null): string {
  const parts = source ? `${plural(count, 'part')} from “${source}”` : plural(count, 'part');
  return `${parts}, front to back. Pick one here or in the hoop; hold Shift to pick several.`;
}

export const useParts = (count: number): string =>
  byCount(count, { one: 'Use this part', other: `Use these ${formatNumber(count)} parts` });

/** What a rule of tidying did or could do, by how much of it there is. */
const TIDY_WORDS: Readonly<Record<TidyRule, { readonly one: string; readonly other: (count: string) => string }>> = {
  islands: { one: '1 path split into islands', other: (count) => `${count} paths split into islands` },
  'doubled-lines': {
    one: '1 line left out that lies on another',
    other: (count) => `${count} lines left out that lie on others`,
  },
  'own-strokes': {
    one: '1 stroke joined to the area of its own colour',
    other: (count) => `${count} strokes joined to areas of their own colour`,
  },
  'under-lines': {
    one: '1 sliver under a line left out',
    other: (count) => `${count} slivers under lines left out`,
  },
  'shared-borders': {
    one: '1 border that two lines share outlined once',
    other: (count) => `${count} borders that two lines share outlined once`,
  },
  'one-colour': {
    one: '1 part given a colour that is almost its own',
    other: (count) => `${count} parts given a colour that is almost their own`,
  },
  specks: { one: '1 speck made a dot or left out', other: (count) => `${count} specks made dots or left out` },
  'left-to-cloth': {
    one: '1 area in the cloth’s colour left to the cloth',
    other: (count) => `${count} areas in the cloth’s colour left to the cloth`,
  },
  'pen-lines': { one: '1 line worked as a pen line', other: (count) => `${count} lines worked as pen lines` },
  'similar-colours': {
    one: '1 part in a similar colour made the same',
    other: (count) => `${count} parts in similar colours made the same`,
  },
  ribbons: { one: '1 long thin area made a line', other: (count) => `${count} long thin areas made lines` },
};

export const tidyRule = ({ rule, count }: Tidied): string =>
  byCount(count, { one: TIDY_WORDS[rule].one, other: TIDY_WORDS[rule].other(formatNumber(count)) });

/** @param done the rules that did something */
export const tidied = (done: readonly Tidied[]): string => `Tidied: ${done.map(tidyRule).join(' · ')}.`;

/** @param found the rules that would do something */
export const canBeTidied = (found: readonly Tidied[]): string =>
  byCount(found.length, {
    one: 'One thing in this drawing can be tidied before you stitch it.',
    other: `${formatNumber(found.length)} kinds of things in this drawing can be tidied before you stitch it.`,
  });

/** More names than these are told as a number. */
const MOST_NAMES = 6;

export const partsFound = (names: readonly string[]): string =>
  names.length > MOST_NAMES
    ? formatList([...names.slice(0, MOST_NAMES), `${formatNumber(names.length - MOST_NAMES)} more`])
    : formatList(names);
