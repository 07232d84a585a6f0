import { PRINT_TRUE } from '@junctura/core/paper';
import { byCount, formatFine, formatList, formatNumber, formatPercent, plural } from '@junctura/core/measure';

/** @param across by how much more pages are drawn in width, as a share @param down the same in height */
export const corrected = (across: number, down: number): string =>
  `Corrected: pages are drawn at ${formatPercent(1 + across, 1)} of their width and ${formatPercent(1 + down, 1)} of their height.`;

export const betterMethod = (method: string): string => `A better method: ${method}.`;

export const comesOut = (how: string): string => `It comes out ${how}. The maker’s instructions come first.`;

export const timesMore = (count: number): string =>
  byCount(count, { one: '… and once more.', other: `… and ${formatNumber(count)} more times.` });

export const tacks = (count: number, round: number): string =>
  `${plural(count, 'tack')}: one in the middle and ${formatNumber(round)} round the design, where the hoop shows red stitches. Count ${formatNumber(count)} back out before you rinse. Stitch through the film; it adds about 0.1 mm.`;

export const markLasts = (days: number, sittings: number): string =>
  `This mark lasts ${plural(days, 'day')}. At your pace the piece takes ${plural(sittings, 'sitting')}.`;

export const redrawOn = (day: number, from: number, to: number): string =>
  from === to ? `Day ${day}, for sitting ${from}:` : `Day ${day}, for sittings ${from} to ${to}:`;

export const barsCameOut = (printer: string, acrossMm: number, downMm: number): string =>
  `${printer}: the bars came out ${formatNumber(acrossMm, 1)} mm across and ${formatNumber(downMm, 1)} mm down.`;

/** More parts than this are not named one by one. */
const MOST_NAMED = 6;

export function partNames(names: readonly string[]): string {
  const rest = names.length - MOST_NAMED + 1;
  return names.length <= MOST_NAMED
    ? formatList(names)
    : `${names.slice(0, MOST_NAMED - 1).join(', ')} and ${formatNumber(rest)} more`;
}

/** @param lineMm the width of the mark's line, in which the pattern is drawn */
export const pagesToPrint = (pages: number, lineMm: number): string =>
  pages === 1
    ? `One page, drawn in lines of ${formatFine(lineMm)} like the mark. ${PRINT_TRUE}`
    : `A map and ${plural(pages - 1, 'page')}, joined at their crosses, drawn in lines of ${formatFine(lineMm)} like the mark. ${PRINT_TRUE}`;
