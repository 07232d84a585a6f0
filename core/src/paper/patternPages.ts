import type { PlannedPart } from '../work/index.ts';
import type { Plan } from '../thread/index.ts';
import { edgesOf, positionsOf, veinLineOf } from '../drawing/index.ts';
import { boxOf, clipToBox, type Box, type Polyline } from '../geometry/index.ts';
import { innerHalvesMm, markOf } from '../materials/index.ts';
import type { Piece } from '../piece/index.ts';
import { stitchKind } from '../stitches/index.ts';
import { BAR_MM, type Page, type PageItem, type PrinterScale, type Sheet } from './sheets.ts';

export interface PatternOptions {
  readonly sheet: Sheet;
  /** What the printer makes of a length; the file is stretched so that it comes out true. */
  readonly printer: PrinterScale;
  readonly outlines: boolean;
  /** An arrow along the grain of the cloth. */
  readonly grain: boolean;
  /** Left and right exchanged, for ways that press or trace from behind. */
  readonly mirrored: boolean;
  readonly numbers: boolean;
  readonly directions: boolean;
  readonly ring: boolean;
}

const MARGIN_MM = 10;
/** Room at the foot for the bar to measure and the caption. */
const FOOT_MM = 20;
/** Neighbouring tiles repeat this much, for glueing. */
const OVERLAP_MM = 10;
const CROSS_MM = 4;
const HAIR_MM = 0.15;

interface Ink {
  readonly line: Polyline;
  readonly widthMm: number;
  readonly grey: number;
  readonly dashMm: number | null;
}

interface Label {
  readonly x: number;
  readonly y: number;
  readonly text: string;
}

/**
 * The pattern at true size, page by page: one page where it fits, else tiles that overlap and join at crosses, with a map of them
 * before. Every page has a bar of 100 mm to measure across, and one of 50 mm down.
 */
export function patternPages(piece: Piece, plan: Plan, options: PatternOptions): Page[] {
  const { sheet, printer } = options;
  // Laid out on what the sheet comes out as, then stretched by what the printer takes away.
  const true_ = { ...sheet, widthMm: sheet.widthMm * printer.across, heightMm: sheet.heightMm * printer.down };
  const { inks, labels, box } = artwork(piece, plan, options);
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
      const caption = captionFor(piece, options, columns * rows, pages.length + 1, { column, row });
      pages.push(drawPage(true_, tile, inks, labels, { columns, rows, column, row }, caption));
    }
  }
  const all = tiles.length > 1 ? [mapPage(true_, tiles, inks, box, piece.name), ...pages] : pages;
  return all.map((page) => stretched(page, sheet, printer));
}

/** A pattern on more pages than this is not printed but projected. */
const MOST_PAGES = 120;

function stretched(page: Page, sheet: Sheet, { across, down }: PrinterScale): Page {
  if (across === 1 && down === 1) return page;
  const items = page.items.map((item): PageItem =>
    item.type === 'line'
      ? { ...item, points: item.points.map((value, i) => value / (i % 2 ? down : across)) }
      : { ...item, x: item.x / across, y: item.y / down },
  );
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
  const title = textItem(2 * MARGIN_MM, 2 * MARGIN_MM, `${name}: map of the ${tiles.length} pages. Not at true size.`);
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

function artwork(
  piece: Piece,
  plan: Plan,
  { mirrored, numbers, directions, ring, outlines: isOutlined, grain }: PatternOptions,
): { inks: Ink[]; labels: Label[]; box: Box | null } {
  const flip = mirrored ? -1 : 1;
  const widthMm = Math.min(0.5, markOf(piece.mark)!.lineMm);
  const inks: Ink[] = [];
  const labels: Label[] = [];
  const add = (line: Polyline, ink: Omit<Ink, 'line'>): void => {
    inks.push({ line: mirrored ? { ...line, points: line.points.map((v, i) => (i % 2 ? v : -v)) } : line, ...ink });
  };
  plan.parts.forEach((planned, i) => {
    if (isOutlined) for (const line of outlines(planned)) add(line, { widthMm, grey: 0, dashMm: null });
    if (directions)
      for (const line of directionStrokes(planned)) add(line, { widthMm: HAIR_MM, grey: 0.45, dashMm: 1 });
    const place = numbers ? labelPlace(planned) : null;
    if (place) labels.push({ x: place.x * flip, y: place.y, text: String(i + 1) });
  });
  if (ring && piece.hoop) {
    const [a, b] = innerHalvesMm(piece.hoop);
    for (const [x, y] of positionsOf(piece)) {
      const points = circleLine(1).points.map((value, i) => (i % 2 ? y + b * value : x + a * value));
      add({ points, closed: true }, { widthMm: HAIR_MM, grey: 0.4, dashMm: 3 });
    }
  }
  if (grain && plan.design.box) {
    for (const line of grainArrow(plan.design.box)) add(line, { widthMm: 0.25, grey: 0.3, dashMm: null });
  }
  return { inks, labels, box: inkBox(inks) };
}

/** An arrow up and down beside the design: this way the threads of the cloth run. */
function grainArrow({ minX, minY, maxY }: Box): Polyline[] {
  const [x, half, head] = [minX - 6, Math.min(25, (maxY - minY) / 2), 2.5];
  const y = (minY + maxY) / 2;
  const open = (...points: number[]): Polyline => ({ points: Float64Array.from(points), closed: false });
  return [
    open(x, y - half, x, y + half),
    open(x - head / 2, y - half + head, x, y - half, x + head / 2, y - half + head),
    open(x - head / 2, y + half - head, x, y + half, x + head / 2, y + half - head),
  ];
}

function outlines({ placed }: PlannedPart): Polyline[] {
  const dots: Polyline[] = [];
  const { spots } = placed.shape;
  for (let i = 0; i < spots.length; i += 2) dots.push(circleLine(0.6, spots[i]!, spots[i + 1]!));
  return [...edgesOf(placed.shape), ...dots];
}

/** A short stroke through the widest place, along the stitches; where they follow strokes or the middle line, those. */
function directionStrokes({ placed, passes }: PlannedPart): Polyline[] {
  const pass = passes.find(({ role }) => role === 'filling');
  const { widest } = placed;
  if (!pass || !widest) return [];
  if (pass.direction === 'guides' && placed.guides.length > 0) return [...placed.guides];
  if (pass.direction === 'along' || stitchKind(pass.stitch).hasVein) {
    const middle = veinLineOf(placed);
    return middle ? [{ points: middle.points, closed: false }] : [];
  }
  if (!stitchKind(pass.stitch).hasDirection || pass.direction !== 'straight') return [];
  const angle = (pass.angleDeg * Math.PI) / 180;
  const [dx, dy] = [Math.cos(angle) * widest.r * 0.6, -Math.sin(angle) * widest.r * 0.6];
  const points = Float64Array.of(widest.x - dx, widest.y - dy, widest.x + dx, widest.y + dy);
  return [{ points, closed: false }];
}

function labelPlace({ placed }: PlannedPart): { x: number; y: number } | null {
  if (placed.widest) return placed.widest;
  const points = placed.shape.lines[0]?.points ?? placed.shape.spots;
  if (points.length === 0) return null;
  const middle = (points.length >> 2) * 2;
  return { x: points[middle]! + 1.5, y: points[middle + 1]! - 1 };
}

function circleLine(r: number, x = 0, y = 0): Polyline {
  const corners = 72;
  const points = Float64Array.from({ length: corners * 2 }, (_, i) => {
    const angle = (2 * Math.PI * (i >> 1)) / corners;
    return i % 2 ? y + r * Math.sin(angle) : x + r * Math.cos(angle);
  });
  return { points, closed: true };
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
  for (const { x, y, text } of labels) {
    if (x < tile.minX || x > tile.maxX || y < tile.minY || y > tile.maxY) continue;
    items.push({ type: 'text', x: x + dx, y: y + dy + 0.9, sizeMm: 2.4, text, align: 'centre', grey: 0.35 });
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
      'This bar is 100 mm long, the one at the right edge 50 mm. Measure both before you trace; print at 100 %, not “fit to page”.',
    ),
    textItem(x, y - 5, caption),
  ];
}

function textItem(x: number, y: number, text: string): PageItem {
  return { type: 'text', x, y, sizeMm: 2.8, text, align: 'left', grey: 0.15 };
}

function captionFor(
  piece: Piece,
  { mirrored }: PatternOptions,
  pages: number,
  page: number,
  { column, row }: { column: number; row: number },
): string {
  const place =
    pages === 1
      ? ''
      : ` · page ${page} of ${pages} (row ${row + 1}, column ${column + 1}): lay the crosses on one another`;
  return `${piece.name} · true size${mirrored ? ' · MIRRORED, left and right exchanged: lay it face down' : ''}${place}`;
}
