import { boxOf, clipToBox, type Box, type Polyline } from '../geometry/index.ts';
import { fitted, widthOf } from './fitting.ts';
import { BAR_MM, type Page, type PageItem, type PrinterScale, type Sheet } from './sheets.ts';
import * as say from './words.ts';

const MARGIN_MM = 10;
const FOOT_TEXT_MM = 2.8;
/** As much of a name is always there. */
const NAME_MM = 24;
/** Room at the foot for the bar to measure and the caption. */
const FOOT_MM = 20;
/** Neighbouring tiles repeat this much, for glueing. */
const OVERLAP_MM = 10;
const CROSS_MM = 4;
/** The thinnest line that printers draw whole, mm. */
export const HAIR_MM = 0.15;

/** A line to print, in mm of the cloth. */
export interface Ink {
  readonly line: Polyline;
  readonly widthMm: number;
  readonly grey: number;
  readonly dashMm: number | null;
}

/** A number in the middle of a place, or words that begin there. */
export interface Label {
  readonly x: number;
  readonly y: number;
  readonly text: string;
  readonly align?: 'left';
}

/** What is laid out on pages. */
export interface Artwork {
  readonly inks: readonly Ink[];
  readonly labels: readonly Label[];
}

/**
 * Artwork at true size, page by page: one page where it fits, else tiles that overlap and join at crosses, with a map of them before.
 * Every page has a bar of 100 mm to measure across, and one of 50 mm down. Empty where it would be far too many pages.
 * @param what stands with the name at the foot of every page
 */
export function tiledPages(
  { inks, labels }: Artwork,
  { sheet, printer }: { readonly sheet: Sheet; readonly printer: PrinterScale },
  name: string,
  what: string,
): Page[] {
  // Laid out on what the sheet comes out as, then stretched by what the printer takes away.
  const true_ = { ...sheet, widthMm: sheet.widthMm * printer.across, heightMm: sheet.heightMm * printer.down };
  const box = inkBox(inks);
  if (!box) return [];
  const room = { width: true_.widthMm - 2 * MARGIN_MM, height: true_.heightMm - 2 * MARGIN_MM - FOOT_MM };
  const columns = tileCount(box.maxX - box.minX, room.width);
  const rows = tileCount(box.maxY - box.minY, room.height);
  if (columns * rows > MOST_PAGES) return [];
  const pages: Page[] = [];
  const tiles: Box[] = [];
  for (let row = 0; row < rows; row++) {
    for (let column = 0; column < columns; column++) {
      const tile = tileBox(box, room, column, row, columns, rows);
      tiles.push(tile);
      const place = columns * rows === 1 ? '' : say.tileNote(pages.length + 1, columns * rows, row + 1, column + 1);
      const caption = say.pageCaption(what + place);
      // However long the name is, what the page is stays.
      const fits = fitted(name, Math.max(NAME_MM, room.width - widthOf(caption, FOOT_TEXT_MM)), FOOT_TEXT_MM);
      pages.push(drawPage(true_, tile, inks, labels, { columns, rows, column, row }, fits + caption));
    }
  }
  const all =
    tiles.length > 1 ? [mapPage(true_, tiles, inks, box, fitted(name, room.width / 2, FOOT_TEXT_MM)), ...pages] : pages;
  return all.map((page) => stretched(page, sheet, printer));
}

/** A pattern on more pages than this is not printed but projected. */
const MOST_PAGES = 120;

function stretched(page: Page, sheet: Sheet, { across, down }: PrinterScale): Page {
  if (across === 1 && down === 1) return page;
  const shrunk = (points: Float64Array): Float64Array => points.map((value, i) => value / (i % 2 ? down : across));
  const items = page.items.map((item): PageItem => {
    if (item.type === 'line') return { ...item, points: shrunk(item.points) };
    if (item.type === 'strokes') return { ...item, lines: item.lines.map(shrunk) };
    return { ...item, x: item.x / across, y: item.y / down };
  });
  return { widthMm: sheet.widthMm, heightMm: sheet.heightMm, items };
}

/** Which page goes where: all of the pattern, small, under the frames of its pages. */
function mapPage(sheet: Sheet, tiles: readonly Box[], inks: readonly Ink[], box: Box, name: string): Page {
  const whole = tiles.reduce(
    (sum, tile) => ({
      minX: Math.min(sum.minX, tile.minX),
      minY: Math.min(sum.minY, tile.minY),
      maxX: Math.max(sum.maxX, tile.maxX),
      maxY: Math.max(sum.maxY, tile.maxY),
    }),
    box,
  );
  const head = 14;
  const scale = Math.min(
    (sheet.widthMm - 4 * MARGIN_MM) / (whole.maxX - whole.minX),
    (sheet.heightMm - 4 * MARGIN_MM - head) / (whole.maxY - whole.minY),
  );
  const x = (value: number): number => 2 * MARGIN_MM + (value - whole.minX) * scale;
  const y = (value: number): number => 2 * MARGIN_MM + head + (value - whole.minY) * scale;
  const small = inks.map(({ line }): PageItem => ({
    type: 'line',
    points: line.points.map((value, i) => (i % 2 ? y(value) : x(value))),
    closed: line.closed,
    widthMm: HAIR_MM,
    grey: 0.5,
    dashMm: null,
  }));
  const frames = tiles.flatMap((tile, k): PageItem[] => [
    {
      type: 'line',
      points: Float64Array.of(
        x(tile.minX),
        y(tile.minY),
        x(tile.maxX),
        y(tile.minY),
        x(tile.maxX),
        y(tile.maxY),
        x(tile.minX),
        y(tile.maxY),
      ),
      closed: true,
      widthMm: 0.3,
      grey: 0.2,
      dashMm: 2,
    },
    {
      type: 'text',
      x: x((tile.minX + tile.maxX) / 2),
      y: y((tile.minY + tile.maxY) / 2),
      sizeMm: 8,
      text: String(k + 1),
      align: 'centre',
      grey: 0.2,
    },
  ]);
  const title = textItem(2 * MARGIN_MM, 2 * MARGIN_MM, say.tileMap(name, tiles.length));
  return { widthMm: sheet.widthMm, heightMm: sheet.heightMm, items: [title, ...small, ...frames] };
}

function tileCount(size: number, room: number): number {
  return size <= room ? 1 : Math.ceil((size - OVERLAP_MM) / (room - OVERLAP_MM));
}

/** What of the artwork lies on a tile; a row or column of one is centred. */
function tileBox(
  box: Box,
  room: { width: number; height: number },
  column: number,
  row: number,
  columns: number,
  rows: number,
): Box {
  const along = (min: number, max: number, size: number, index: number, count: number): [number, number] => {
    const start = count === 1 ? (min + max - size) / 2 : min + index * (size - OVERLAP_MM);
    return [start, start + size];
  };
  const [minX, maxX] = along(box.minX, box.maxX, room.width, column, columns);
  const [minY, maxY] = along(box.minY, box.maxY, room.height, row, rows);
  return { minX, minY, maxX, maxY };
}

/** Room for the width of the lines at the edge of the artwork, mm. */
const EDGE_MM = 1;

function inkBox(inks: readonly Ink[]): Box | null {
  const box = boxOf(inks.map(({ line }) => line.points));
  return (
    box && {
      minX: box.minX - EDGE_MM,
      minY: box.minY - EDGE_MM,
      maxX: box.maxX + EDGE_MM,
      maxY: box.maxY + EDGE_MM,
    }
  );
}

interface Tiling {
  readonly columns: number;
  readonly rows: number;
  readonly column: number;
  readonly row: number;
}

function drawPage(
  sheet: Sheet,
  tile: Box,
  inks: readonly Ink[],
  labels: readonly Label[],
  tiling: Tiling,
  caption: string,
): Page {
  const dx = MARGIN_MM - tile.minX;
  const dy = MARGIN_MM - tile.minY;
  const items: PageItem[] = [];
  for (const { line, ...ink } of inks) {
    const isWhole = tiling.columns * tiling.rows === 1;
    const pieces = isWhole ? [line.points] : clipToBox(line, tile);
    for (const piece of pieces) {
      const points = piece.map((value, i) => value + (i % 2 ? dy : dx));
      items.push({ type: 'line', points, closed: isWhole && line.closed, ...ink });
    }
  }
  for (const { x, y, text, align = 'centre' } of labels) {
    if (x < tile.minX || x > tile.maxX || y < tile.minY || y > tile.maxY) continue;
    items.push({ type: 'text', x: x + dx, y: y + dy + 0.9, sizeMm: 2.4, text, align, grey: 0.35 });
  }
  return {
    widthMm: sheet.widthMm,
    heightMm: sheet.heightMm,
    items: [...items, ...crosses(tile, tiling, dx, dy), ...foot(sheet, caption)],
  };
}

/** Crosses in the middle of every overlap: laid on one another, the tiles join. */
function crosses(tile: Box, { columns, rows, column, row }: Tiling, dx: number, dy: number): PageItem[] {
  const half = OVERLAP_MM / 2;
  const xs = joins(tile.minX + half, tile.maxX - half, column, columns);
  const ys = joins(tile.minY + half, tile.maxY - half, row, rows);
  if (columns * rows === 1) return [];
  return xs.flatMap((x) =>
    ys.flatMap((y) => [
      hairline([x + dx - CROSS_MM, y + dy, x + dx + CROSS_MM, y + dy]),
      hairline([x + dx, y + dy - CROSS_MM, x + dx, y + dy + CROSS_MM]),
    ]),
  );
}

/** Where crosses stand along one direction: at the joins with neighbours, or at both ends where there are none. */
function joins(first: number, last: number, index: number, count: number): number[] {
  if (count === 1) return [first, last];
  return [...(index > 0 ? [first] : []), ...(index < count - 1 ? [last] : [])];
}

function hairline(points: readonly number[]): PageItem {
  return { type: 'line', points: Float64Array.from(points), closed: false, widthMm: HAIR_MM, grey: 0, dashMm: null };
}

/** The bar to measure, across and down, and what this page is. */
function foot(sheet: Sheet, caption: string): PageItem[] {
  const [x, y] = [MARGIN_MM, sheet.heightMm - MARGIN_MM - 3];
  const downMm = BAR_MM / 2;
  const right = sheet.widthMm - MARGIN_MM / 2;
  const ticks = Array.from({ length: 11 }, (_, i) => {
    const at = x + (BAR_MM * i) / 10;
    return hairline([at, y - (i % 5 === 0 ? 2.4 : 1.4), at, y]);
  });
  return [
    hairline([x, y, x + BAR_MM, y]),
    ...ticks,
    hairline([right, y - downMm, right, y]),
    hairline([right - 1.5, y - downMm, right + 1.5, y - downMm]),
    hairline([right - 1.5, y, right + 1.5, y]),
    textItem(
      x,
      y + 4.4,
      'This bar is 100 mm long, and the one at the right edge 50 mm. Measure both before you trace; print at 100%, not “fit to page”.',
    ),
    textItem(x, y - 5, caption),
  ];
}

function textItem(x: number, y: number, text: string): PageItem {
  return { type: 'text', x, y, sizeMm: FOOT_TEXT_MM, text, align: 'left', grey: 0.15 };
}
