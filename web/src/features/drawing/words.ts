import { byCount, formatFine, formatNumber, plural } from '@junctura/core/measure';

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
