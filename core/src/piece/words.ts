import { byCount, formatNumber, plural } from '../measure/index.ts';

export const keepColourway = (name: string): string => `Save the colourway ${name}`;

export const useColourway = (name: string): string => `Use the colourway ${name}`;

export const useLevel = (level: 'simple' | 'usual' | 'rich'): string =>
  ({ simple: 'Use the simple version', usual: 'Use the usual version', rich: 'Use the rich version' })[level];

export const useShade = (shade: string): string => `Use ${shade}`;

export const removeParts = (count: number): string => `Remove ${plural(count, 'part')}`;

export const leaveChecks = (count: number): string =>
  byCount(count, { one: 'Leave a check as it is', other: `Leave ${count} checks as they are` });

export const fileTooLarge = (millions: number): string =>
  `The file is too large: ${formatNumber(millions)} million characters; up to 24 million can be read.`;

export const laterVersion = (version: number, readable: number): string =>
  `This piece was saved by a later version of Junctura (file version ${version}; this one reads up to ${readable}). Update Junctura to open it.`;

export const fromLot = (lot: string): string => `Use dye lot ${lot}`;

export const nearShade = (name: string, code: string): string => `near ${name} (${code})`;

/** What of a piece is meant by a field of its file. */
export const PLACES: Readonly<Record<string, string>> = {
  id: 'its name',
  name: 'its name',
  use: 'what it is for',
  worker: 'how you work',
  cloth: 'its cloth',
  hoop: 'its hoop',
  positions: 'its hoop positions',
  placement: 'its place in the hoop',
  drawing: 'its drawing',
  parts: 'the number of its parts',
  palette: 'its colours',
  colourways: 'its colourways',
  mark: 'its transfer method',
  order: 'its order of work',
  record: 'its record',
  finish: 'its finish',
};

export const partOfDrawing = (number: number): string => `part ${number} of its drawing`;

export const colourOfPalette = (number: number): string => `colour ${number} of its palette`;

export const entryOfRecord = (number: number): string => `entry ${number} of its record`;

export const damagedPiece = (place: string, more: number): string => {
  if (more === 0) return `This piece is damaged, so it was not opened. The fault is in ${place}.`;
  return byCount(more, {
    one: `This piece is damaged, so it was not opened. The faults are in ${place} and one more place.`,
    other: `This piece is damaged, so it was not opened. The faults are in ${place} and ${formatNumber(more)} more places.`,
  });
};

export const breaksOff = (line: number): string => `The file is cut short: it stops at line ${formatNumber(line)}.`;

export const notJson = (line: number): string => `The file is damaged: line ${formatNumber(line)} is not valid JSON.`;

export const noLongerFits = (edit: string): string =>
  `“${edit}” can no longer be done: something it changes has been changed again since.`;

export const notInPalette = (colour: string): string => `the palette has no colour “${colour}”`;

export const thereTwice = (part: string): string => `“${part}” is there twice`;

export const LET_PLANNER_ORDER = 'Let the planner find the order';

export const LET_PLANNER_PLACE = 'Let the planner place it';
