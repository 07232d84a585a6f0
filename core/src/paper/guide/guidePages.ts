import type { Box } from '../../geometry/index.ts';
import { fitted, wrapped } from '../fitting.ts';
import { BAR_MM, type Page, type PageItem, type Sheet } from '../sheets.ts';
import type { Guide, GuideRow } from './guide.ts';
import { guideMap } from './guideMap.ts';
import { workingDrawing } from './workingDrawing.ts';
import * as say from '../words.ts';

/** The name of the picture that whoever prints puts in. */
export const GUIDE_PICTURE = 'piece';

const MARGIN_MM = 15;
const FOOT_MM = 10;
const TEXT_MM = 3.4;
const SMALL_MM = 2.9;
const LINE_MM = 4.9;

/** Fills pages from top to bottom. */
class Flow {
  readonly pages: PageItem[][] = [];
  y = 0;

  constructor(
    private readonly sheet: Sheet,
    private readonly title: string,
  ) {
    this.turn();
  }

  get left(): number {
    return MARGIN_MM;
  }
  get width(): number {
    return this.sheet.widthMm - 2 * MARGIN_MM;
  }
  get bottom(): number {
    return this.sheet.heightMm - MARGIN_MM - FOOT_MM;
  }

  /** A new page. */
  turn(): void {
    this.pages.push([]);
    this.y = MARGIN_MM + 4;
  }

  /** Turns the page where what comes next no longer goes on it. */
  need(heightMm: number): void {
    if (this.y + heightMm > this.bottom) this.turn();
  }

  add(...items: PageItem[]): void {
    this.pages.at(-1)!.push(...items);
  }

  text(words: string, x: number, y: number, sizeMm = TEXT_MM, isBold = false): void {
    this.add({ type: 'text', x, y, sizeMm, text: words, align: 'left', grey: 0.05, isBold });
  }

  heading(words: string): void {
    this.need(22);
    this.y += 6;
    this.text(words, this.left, this.y, 4.8, true);
    this.y += 7;
  }

  /** Words over as many lines as they take. */
  paragraph(words: string, indentMm = 0, sizeMm = TEXT_MM): void {
    for (const line of wrapped(words, this.width - indentMm, sizeMm)) {
      this.need(LINE_MM);
      this.text(line, this.left + indentMm, this.y, sizeMm);
      this.y += LINE_MM;
    }
  }

  done(): Page[] {
    const { widthMm, heightMm } = this.sheet;
    return this.pages.map((items, i) => ({
      widthMm,
      heightMm,
      items: [
        ...items,
        {
          type: 'text',
          x: MARGIN_MM,
          y: heightMm - MARGIN_MM + 3,
          sizeMm: SMALL_MM,
          text: say.pageFooter(fitted(this.title, 120, SMALL_MM), i + 1, this.pages.length),
          align: 'left',
          grey: 0.35,
        },
      ],
    }));
  }
}

/** The booklet, page by page: picture and materials, the map, the table, working drawings, cutting list, thread, finishing. */
export function guidePages(guide: Guide, sheet: Sheet): Page[] {
  const flow = new Flow(sheet, guide.title);
  cover(flow, guide);
  mapPage(flow, guide, sheet);
  table(flow, guide.rows, guide.piece.positions.length > 1);
  stitches(flow, guide);
  flow.heading(say.GUIDE.cutting);
  for (const line of guide.cutting) flow.paragraph(line, line.startsWith(' ') ? 6 : 0, SMALL_MM);
  flow.heading(say.GUIDE.thread);
  for (const line of guide.thread) flow.paragraph(line);
  flow.heading(say.GUIDE.finishing);
  guide.finishing.forEach(({ text, caution }, i) => {
    flow.paragraph(`${i + 1}. ${text}`);
    if (caution) flow.paragraph(caution, 6, SMALL_MM);
  });
  return flow.done();
}

function cover(flow: Flow, { title, intro, materials }: Guide): void {
  for (const line of wrapped(title, flow.width, 8)) {
    flow.y += 8;
    flow.text(line, flow.left, flow.y, 8, true);
  }
  flow.y += 8;
  const sizeMm = 88;
  flow.add({
    type: 'picture',
    name: GUIDE_PICTURE,
    x: flow.left + (flow.width - sizeMm) / 2,
    y: flow.y,
    widthMm: sizeMm,
    heightMm: sizeMm,
  });
  flow.y += sizeMm + 7;
  for (const line of intro) flow.paragraph(line);
  flow.heading(say.GUIDE.materials);
  for (const { name, detail, amount, hex } of materials) {
    flow.need(LINE_MM);
    if (hex) flow.add(threadBar(flow.left, flow.y - 1.1, 7, hex));
    flow.text(fitted(name, 62, TEXT_MM), flow.left + 10, flow.y);
    flow.text(fitted(amount, flow.width - 134, TEXT_MM), flow.left + 134, flow.y);
    for (const line of wrapped(detail, 58, SMALL_MM)) {
      flow.text(line, flow.left + 74, flow.y, SMALL_MM);
      flow.y += LINE_MM;
    }
  }
}

function threadBar(x: number, y: number, lengthMm: number, hex: string): PageItem {
  const points = Float64Array.of(x + 1, y, x + lengthMm - 1, y);
  return { type: 'line', points, closed: false, widthMm: 2, grey: 0, hex, dashMm: null };
}

/** Where on its page the map lies. */
export function mapBoxOf(sheet: Sheet): Box {
  const top = MARGIN_MM + 12;
  const bottom = sheet.heightMm - MARGIN_MM - FOOT_MM - 16;
  return { minX: MARGIN_MM, maxX: sheet.widthMm - MARGIN_MM, minY: top, maxY: bottom };
}

function mapPage(flow: Flow, guide: Guide, sheet: Sheet): void {
  flow.turn();
  flow.text(say.GUIDE.map, flow.left, flow.y + 2, 4.8, true);
  const page = mapBoxOf(sheet);
  const { items, left } = guideMap(guide, page);
  flow.add(...items);
  const foot = flow.bottom - 2;
  if (left.length > 0)
    flow.text(fitted(say.tooSmallToNumber(left.join(', ')), flow.width, SMALL_MM), flow.left, foot - 6, SMALL_MM);
  const [x0, x1] = [flow.left, flow.left + BAR_MM];
  const bar = [x0, foot, x1, foot];
  flow.add({ type: 'line', points: Float64Array.from(bar), closed: false, widthMm: 0.15, grey: 0, dashMm: null });
  for (const x of [x0, x1]) {
    flow.add({
      type: 'line',
      points: Float64Array.of(x, foot - 1.5, x, foot + 1.5),
      closed: false,
      widthMm: 0.15,
      grey: 0,
      dashMm: null,
    });
  }
  flow.text('This bar is 100 mm long if the page is printed at 100%.', x1 + 4, foot + 1, SMALL_MM);
}

/** Where the columns of the table begin, as shares of its width. */
const COLUMNS = {
  step: 0,
  number: 0.05,
  part: 0.1,
  stitch: 0.32,
  colour: 0.52,
  strands: 0.7,
  needle: 0.77,
  minutes: 0.91,
} as const;

function table(flow: Flow, rows: readonly GuideRow[], hasPositions: boolean): void {
  flow.turn();
  flow.text(say.GUIDE.order, flow.left, flow.y + 2, 4.8, true);
  flow.y += 9;
  const at = (column: keyof typeof COLUMNS): number => flow.left + COLUMNS[column] * flow.width;
  const head = (): void => {
    for (const [column, name] of Object.entries(say.COLUMN_NAMES))
      flow.text(name, at(column as keyof typeof COLUMNS), flow.y, SMALL_MM, true);
    flow.y += LINE_MM;
  };
  head();
  let [sitting, position] = [0, 1];
  for (const row of rows) {
    const lines = row.because ? wrapped(row.because, flow.width - 22, SMALL_MM * 0.92).slice(0, 2) : [];
    const isNew = row.sitting !== sitting;
    const height = LINE_MM * (1 + 0.8 * lines.length + (isNew ? 1.6 : 0));
    if (flow.y + height > flow.bottom) {
      flow.turn();
      head();
    }
    if (isNew) {
      sitting = row.sitting;
      flow.y += 2;
      flow.text(say.sittingN(sitting), flow.left, flow.y + 1, TEXT_MM, true);
      flow.y += LINE_MM + 1;
    }
    if (hasPositions && row.position !== position) {
      position = row.position;
      flow.text(say.moveHoop(position), at('part'), flow.y, SMALL_MM, true);
      flow.y += LINE_MM;
    }
    const width = (from: keyof typeof COLUMNS, to: keyof typeof COLUMNS): number =>
      (COLUMNS[to] - COLUMNS[from]) * flow.width - 1;
    const name = say.rowName(row);
    flow.text(String(row.step), at('step'), flow.y, SMALL_MM);
    flow.text(String(row.number), at('number'), flow.y, SMALL_MM, true);
    flow.text(fitted(name, width('part', 'stitch'), SMALL_MM), at('part'), flow.y, SMALL_MM);
    flow.text(fitted(row.stitch, width('stitch', 'colour'), SMALL_MM), at('stitch'), flow.y, SMALL_MM);
    flow.add(threadBar(at('colour') - 1, flow.y - 1, 5, row.hex));
    flow.text(fitted(row.colour, width('colour', 'strands') - 5, SMALL_MM), at('colour') + 5, flow.y, SMALL_MM);
    flow.text(String(row.strands), at('strands'), flow.y, SMALL_MM);
    flow.text(fitted(row.needle, width('needle', 'minutes'), SMALL_MM), at('needle'), flow.y, SMALL_MM);
    flow.text(row.minutes, at('minutes'), flow.y, SMALL_MM);
    flow.y += LINE_MM;
    for (const line of lines) {
      flow.text(line, at('part'), flow.y - 0.6, SMALL_MM * 0.92);
      flow.y += LINE_MM * 0.8;
    }
  }
}

const DRAWING_MM = { width: 62, height: 34 } as const;

function stitches(flow: Flow, { stitches: used, options }: Guide): void {
  flow.heading(say.GUIDE.stitches);
  flow.paragraph(say.drawingKey(options.hand), 0, SMALL_MM);
  flow.y += 2;
  for (const { id, name, steps, start, end } of used) {
    const told = [...steps.map((step, i) => `${i + 1}. ${step}`), say.startWith(start), say.endWith(end)];
    const room = flow.width - DRAWING_MM.width - 6;
    const lines = told.flatMap((words) => wrapped(words, room, SMALL_MM));
    const height = Math.max(DRAWING_MM.height, 6 + lines.length * LINE_MM * 0.9) + 5;
    flow.need(height);
    flow.add(...workingDrawing(id, options.hand, flow.left, flow.y, DRAWING_MM.width, DRAWING_MM.height));
    const x = flow.left + DRAWING_MM.width + 6;
    flow.text(name, x, flow.y + 3, TEXT_MM, true);
    lines.forEach((line, i) => flow.text(line, x, flow.y + 8.5 + i * LINE_MM * 0.9, SMALL_MM));
    flow.y += height;
  }
}
