import { byCount, formatFine, formatList, formatNumber, plural } from '../measure/index.ts';

export const cutAndLength = (number: number, length: string): string => `Length ${number}, ${length}`;

export const cuttingListFor = (piece: string): string => `Cutting list for ${piece}`;

export const hoopOf = (size: string): string => `Hoop, ${size}`;

/** @param height null: it is round */
export const insideSize = (width: string, height: string | null): string =>
  height === null ? `${width} inside` : `${width} by ${height} inside`;

export const pageFooter = (title: string, page: number, pages: number): string => `${title} · page ${page} of ${pages}`;

export const drawingKey = (hand: string): string =>
  `For the ${hand} hand. Solid: thread on the front. Dashed: thread on the back. Numbers: the holes, in the order the needle goes through them.`;

export const madeByHand = (maker: string): string => `${maker} · made by hand`;

export const practiceBack = (stitches: number): string =>
  `1  Back stitch. Target: ${stitches} stitches between the marks, all the same length.`;

export const practiceSatin = (satinMm: number): string =>
  `3  Satin stitch, upright. Target: ten stitches measure ${formatNumber(satinMm, 1)} mm, no cloth between them, straight edges.`;

export const practiceKnots = (knotMm: number): string =>
  `Target: all the same size, about ${formatNumber(knotMm, 1)} mm.`;

export const toBuyFor = (piece: string): string => `To buy for ${piece}`;

export const templateFooter = (key: string): string => `true size · ${key}`;

export const pageCaption = (what: string): string => ` · ${what}`;

export const pageTitle = (title: string, page: number, count: number): string => `${title} (${page} of ${count})`;

export const tileNote = (page: number, pages: number, row: number, column: number): string =>
  ` · page ${page} of ${pages} (row ${row}, column ${column}): lay the crosses on top of one another`;

export const tileMap = (name: string, pages: number): string => `${name}: map of the ${pages} pages. Not at true size.`;

export const startWith = (how: string): string => `To start: ${how}`;

export const endWith = (how: string): string => `To finish: ${how}`;

export const needlefulsOf = (count: number, strands: number): string =>
  `${plural(count, 'needleful')} of ${plural(strands, 'strand')}`;

/** More parts than this are not named one by one. */
const MOST_NAMED = 3;

/** Names of parts, the first few and how many more. */
export function someOf(names: readonly string[]): string {
  const rest = names.length - MOST_NAMED;
  return rest > 0 ? `${names.slice(0, MOST_NAMED).join(', ')} and ${formatNumber(rest)} more` : formatList(names);
}

/** Lengths that are shared out alike, and what they are for. */
export function lengthsToCut(
  count: number,
  length: string,
  needlefuls: readonly string[],
  spare: number,
  parts: readonly string[],
): string {
  const shares = byCount(count, {
    one: `1 length of ${length} makes ${formatList(needlefuls)}`,
    other: `${formatNumber(count)} lengths of ${length}, each making ${formatList(needlefuls)}`,
  });
  const used = `${shares}, for ${someOf(parts)}`;
  return spare > 0 ? `${used}; ${spareStrands(spare)} for a fine line later` : used;
}

export const spareStrands = (count: number): string => plural(count, 'spare strand');

export const barAcross = (wantedMm: number, measuredMm: number): string =>
  `The bar across is ${formatFine(wantedMm)} long in the file, so ${formatFine(measuredMm)} can’t be right: print at 100%, not “fit to page”, and measure again in millimetres.`;

export const barDown = (wantedMm: number, measuredMm: number): string =>
  `The bar down the page is ${formatFine(wantedMm)} long in the file, so ${formatFine(measuredMm)} can’t be right: print at 100%, not “fit to page”, and measure again in millimetres.`;

/** A shade as the shopping list tells it; a card of one's own has no maker's name. */
export const shadeDetail = (range: string | null, code: string, thread: string): string =>
  range === null ? `${code}, ${thread}` : `${range} ${code}, ${thread}`;

export const boundHoop = (size: string): string => `${size}, to be bound`;

export const dyeLot = (lot: string): string => `dye lot ${lot}`;

export const templateTitle = (piece: string, template: string): string => `${piece} · ${template}`;

export const PRINT_TRUE = 'Print at 100%, then measure the bars.';

/** What the lines of a pattern mean that are not stitched. */
export const LINE_KINDS = {
  guide: 'dots: only a mark',
  cut: 'broad: cut',
  sew: 'short dashes: sew along',
  fold: 'long dashes: fold',
  scrap: 'broad dashes: edge of a scrap',
} as const;

export const lineKey = (kinds: readonly string[]): string => `Thin lines: stitch; ${kinds.join('; ')}`;

export const behindSize = (across: string, upright: string): string => `${across} × ${upright}, behind the cloth`;
