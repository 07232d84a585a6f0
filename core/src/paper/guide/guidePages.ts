import { fitted, wrapped } from '../fitting.ts';
import { TRUE_PRINTER, type Page, type PageItem, type Sheet } from '../sheets.ts';
import { patternPages, WHOLE_PATTERN } from '../patternPages.ts';
import { templatePages } from '../templatePages.ts';
import * as sayPaper from '../words.ts';
import type { Block, Drawing, Guide, MaterialRow, StepBlock, ThreadSample } from './blocks.ts';
import { sampleItems } from './sampleItems.ts';
import * as say from './words.ts';

/** The name of the picture that whoever prints puts in. */
export const GUIDE_PICTURE = 'piece';

const MARGIN_MM = 15;
const FOOT_MM = 8;
const TEXT_MM = 3.4;
const SMALL_MM = 2.9;
const LINE_MM = 4.8;
const SMALL_LINE_MM = 4.1;
const PICTURE_MM = 64;

/** The booklet of a guide, page by page; nothing in it is cut off, and no heading stands alone. */
export function guidePages(guide: Guide, sheet: Sheet): Page[] {
  // The first round finds out on which page each chapter begins.
  const trial = laidOut(guide, sheet, new Map());
  const chapters = new Map(trial.chapters);
  const atTrueSize: Page[] = [];
  for (const [name, pages] of trueSizePages(guide, sheet)) {
    if (pages.length > 0) chapters.set(name, trial.pages.length + atTrueSize.length + 1);
    atTrueSize.push(...pages);
  }
  return [...laidOut(guide, sheet, chapters).done(), ...atTrueSize];
}

/** The pattern and the templates by their chapters: pages of their own at the end, with bars to measure and titles of their own. */
function trueSizePages({ piece, plan, title, blocks }: Guide, sheet: Sheet): [chapter: string, pages: Page[]][] {
  const options = { sheet, printer: TRUE_PRINTER };
  return blocks.flatMap((block): [string, Page[]][] => {
    if (block.type === 'pattern') {
      const asked = { ...WHOLE_PATTERN, ...options, mirrored: block.isMirrored };
      return [[say.HEADINGS.pattern, patternPages(piece, plan, asked)]];
    }
    if (block.type !== 'templates') return [];
    return [[say.HEADINGS.templates, templatePages(block.finish.templates, options, title)]];
  });
}

function laidOut(guide: Guide, sheet: Sheet, chapters: ReadonlyMap<string, number>): Flow {
  const flow = new Flow(sheet, guide.title);
  let lastDrawing: { x: number; y: number; height: number } | null = null;
  // What is at true size comes at the end, on pages of its own.
  const end = guide.blocks.findIndex(isTrueSize);
  const blocks = end < 0 ? guide.blocks : guide.blocks.slice(0, end);
  blocks.forEach((block, i) => {
    if (block.type === 'drawing') lastDrawing = addDrawing(flow, block.drawing, block.title, lastDrawing);
    else {
      if (lastDrawing) flow.y = Math.max(flow.y, lastDrawing.y + lastDrawing.height + 3);
      lastDrawing = null;
      if (block.type === 'heading' || block.type === 'subheading') flow.need(heightWith(flow, blocks.slice(i, i + 4)));
      addBlock(flow, block, chapters);
    }
  });
  return flow;
}

function isTrueSize(block: Block): boolean {
  return block.type === 'heading' && (block.text === say.HEADINGS.pattern || block.text === say.HEADINGS.templates);
}

/** The height of a heading with all that must stand on its page: what is said below it, and the first thing that it is of. */
function heightWith(flow: Flow, blocks: readonly Block[]): number {
  let height = 0;
  for (const block of blocks) {
    if (block.type === 'heading') height += 11.5;
    else if (block.type === 'subheading') height += LINE_MM + 1.5;
    else if (block.type === 'paragraph') height += wrapped(block.text, flow.width, TEXT_MM).length * LINE_MM;
    else return Math.min(height + firstOf(block), flow.bottom - MARGIN_MM - 4);
  }
  return height;
}

function firstOf(block: Block): number {
  if (block.type === 'drawing') return block.drawing.heightMm + LINE_MM;
  return block.type === 'step' || block.type === 'stitch' ? (block.drawing?.heightMm ?? 0) + 6 : 3 * LINE_MM;
}

/** Fills pages from top to bottom. */
class Flow {
  readonly pages: PageItem[][] = [];
  /** On which page each chapter begins, from 1. */
  readonly chapters = new Map<string, number>();
  y = 0;

  constructor(
    private readonly sheet: Sheet,
    private readonly title: string,
  ) {
    this.turn();
  }

  readonly left = MARGIN_MM;
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

  text(words: string, x: number, y: number, sizeMm = TEXT_MM, isBold = false, step?: string): void {
    const own = step === undefined ? {} : { step };
    this.add({ type: 'text', x, y, sizeMm, text: words, align: 'left', grey: 0.05, isBold, ...own });
  }

  heading(words: string): void {
    this.chapters.set(words, this.pages.length);
    this.y += 5;
    this.text(words, this.left, this.y, 4.8, true);
    this.y += 6.5;
  }

  /** Words over as many lines as they take. */
  paragraph(words: string, indentMm = 0, sizeMm = TEXT_MM, isBold = false): void {
    const lineMm = sizeMm < TEXT_MM ? SMALL_LINE_MM : LINE_MM;
    for (const line of wrapped(words, this.width - indentMm, sizeMm)) {
      this.need(lineMm);
      this.text(line, this.left + indentMm, this.y, sizeMm, isBold);
      this.y += lineMm;
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
          text: sayPaper.pageFooter(fitted(this.title, 120, SMALL_MM), i + 1, this.pages.length),
          align: 'left',
          grey: 0.35,
        },
      ],
    }));
  }
}

function addBlock(flow: Flow, block: Exclude<Block, { type: 'drawing' }>, chapters: ReadonlyMap<string, number>): void {
  switch (block.type) {
    case 'title':
      for (const line of wrapped(block.text, flow.width, 8)) {
        flow.y += 8;
        flow.text(line, flow.left, flow.y, 8, true);
      }
      flow.y += 6;
      return;
    case 'picture':
      flow.add({
        type: 'picture',
        name: GUIDE_PICTURE,
        x: flow.left + (flow.width - PICTURE_MM) / 2,
        y: flow.y,
        widthMm: PICTURE_MM,
        heightMm: PICTURE_MM,
      });
      flow.y += PICTURE_MM + 7;
      return;
    case 'contents':
      flow.y += 1.5;
      flow.paragraph(say.inside([...chapters].map(([name, page]) => say.chapterOn(name, page))), 0, SMALL_MM);
      return;
    case 'heading':
      return flow.heading(block.text);
    case 'subheading':
      flow.y += 1.5;
      return flow.paragraph(block.text, 0, TEXT_MM, true);
    case 'paragraph':
      if (block.tone !== 'caution') return flow.paragraph(block.text, 0, block.tone === 'small' ? SMALL_MM : TEXT_MM);
      return caution(flow, block.text, 0);
    case 'list':
      return block.items.forEach((item, i) => listItem(flow, item, block.isNumbered ? `${i + 1}.` : '•'));
    case 'materials':
      return block.rows.forEach((row) => material(flow, row));
    case 'step':
      return step(flow, block);
    case 'stitch':
      return beside(flow, block.drawing, block.title, [
        ...block.steps.map((words, i) => `${i + 1}. ${words}`),
        ...block.notes,
      ]);
    case 'ticks':
      return ticks(flow, block.items);
    case 'pattern':
    case 'templates':
      return;
  }
}

function caution(flow: Flow, words: string, indentMm: number): void {
  const lines = wrapped(words, flow.width - indentMm - 4, SMALL_MM);
  flow.need(lines.length * SMALL_LINE_MM);
  const [x, top] = [flow.left + indentMm, flow.y - 2.6];
  lines.forEach((line) => {
    flow.text(line, x + 3, flow.y, SMALL_MM);
    flow.y += SMALL_LINE_MM;
  });
  const points = Float64Array.of(x + 0.8, top, x + 0.8, flow.y - SMALL_LINE_MM + 0.8);
  flow.add({ type: 'line', points, closed: false, widthMm: 0.8, grey: 0.2, dashMm: null });
  flow.y += 0.8;
}

function listItem(flow: Flow, words: string, mark: string): void {
  const lines = wrapped(words, flow.width - 7, SMALL_MM * 1.08);
  flow.need(Math.min(2, lines.length) * SMALL_LINE_MM);
  flow.text(mark, flow.left + 1, flow.y, SMALL_MM * 1.08);
  for (const line of lines) {
    flow.need(SMALL_LINE_MM);
    flow.text(line, flow.left + 7, flow.y, SMALL_MM * 1.08);
    flow.y += SMALL_LINE_MM + 0.15;
  }
  flow.y += 0.4;
}

/** Where the columns of what is laid out begin, and how wide they are, as shares of the width. */
const MATERIAL_COLUMNS = { name: [0.075, 0.325], detail: [0.405, 0.335], amount: [0.745, 0.255] } as const;

function material(flow: Flow, { sample, name, detail, amount }: MaterialRow): void {
  const columns = (['name', 'detail', 'amount'] as const).map((column) => {
    const [from, share] = MATERIAL_COLUMNS[column];
    const words = { name: sample ? say.withLetter(sample.letter, name) : name, detail, amount }[column];
    return { x: flow.left + from * flow.width, lines: wrapped(words, share * flow.width - 2, SMALL_MM) };
  });
  const height = Math.max(...columns.map(({ lines }) => lines.length)) * SMALL_LINE_MM + 0.8;
  flow.need(height);
  if (sample) flow.add(...sampleItems(sample, flow.left, flow.y - 1, 11));
  for (const { x, lines } of columns)
    lines.forEach((line, i) => flow.text(line, x, flow.y + i * SMALL_LINE_MM, SMALL_MM));
  flow.y += height;
}

/** A picture with words beside it, all on one page where they go on one. */
function beside(
  flow: Flow,
  drawing: Drawing | null,
  title: string,
  told: readonly string[],
  { sample = null as ThreadSample | null, step = undefined as string | undefined, figures = '' } = {},
): void {
  const [indent, drawingMm] = drawing ? [drawing.widthMm + 5, drawing.heightMm] : [0, 0];
  const room = flow.width - indent;
  const titles = wrapped(title, room - (sample ? 14 : 0), TEXT_MM);
  const lines = [...told, ...(figures === '' ? [] : [figures])].flatMap((words) => wrapped(words, room, SMALL_MM));
  const height = Math.max(drawingMm, titles.length * LINE_MM + lines.length * SMALL_LINE_MM) + 4.5;
  flow.need(Math.min(height, flow.bottom - MARGIN_MM - 4));
  const top = flow.y - 3;
  if (drawing) flow.add(...movedBy(drawing.items, flow.left, top, step), frame(flow.left, top, drawing));
  const x = flow.left + indent;
  titles.forEach((line, i) => flow.text(line, x, flow.y + i * LINE_MM, TEXT_MM, true, i === 0 ? step : undefined));
  if (sample) flow.add(...sampleItems(sample, flow.left + flow.width - 12, flow.y - 1, 12));
  flow.y += titles.length * LINE_MM;
  const page = flow.pages.length;
  for (const line of lines) {
    flow.need(SMALL_LINE_MM);
    flow.text(line, x, flow.y, SMALL_MM);
    flow.y += SMALL_LINE_MM;
  }
  flow.y = (flow.pages.length === page ? Math.max(flow.y, top + drawingMm) : flow.y) + 4.5;
}

function step(flow: Flow, { title, lines, figures, caution: danger, sample, drawing, step: number }: StepBlock): void {
  if (drawing) return beside(flow, drawing, title, lines, { sample, step: number, figures: figures.join(' · ') });
  // Without a picture, its title stands beside it.
  const told = lines.flatMap((words) => wrapped(words, flow.width - TITLE_MM, SMALL_MM));
  const titles = wrapped(title, TITLE_MM - 3, SMALL_MM);
  flow.need(Math.max(told.length, titles.length) * SMALL_LINE_MM);
  titles.forEach((line, i) => flow.text(line, flow.left, flow.y + i * SMALL_LINE_MM, SMALL_MM, true, number));
  for (const line of told) {
    flow.text(line, flow.left + TITLE_MM, flow.y, SMALL_MM);
    flow.y += SMALL_LINE_MM;
  }
  if (titles.length > told.length) flow.y += (titles.length - told.length) * SMALL_LINE_MM;
  if (danger) caution(flow, danger, TITLE_MM);
  flow.y += 1;
}
const TITLE_MM = 46;

function movedBy(items: readonly PageItem[], dx: number, dy: number, step?: string): PageItem[] {
  const moved = (points: Float64Array): Float64Array => points.map((mm, i) => mm + (i % 2 ? dy : dx));
  return items.map((item): PageItem => {
    const own = step === undefined ? item : { ...item, step };
    if (own.type === 'line') return { ...own, points: moved(own.points) };
    if (own.type === 'strokes') return { ...own, lines: own.lines.map(moved) };
    return { ...own, x: own.x + dx, y: own.y + dy };
  });
}

function frame(x: number, y: number, { widthMm, heightMm }: Drawing): PageItem {
  const points = Float64Array.of(x, y, x + widthMm, y, x + widthMm, y + heightMm, x, y + heightMm);
  return { type: 'line', points, closed: true, widthMm: 0.15, grey: 0.7, dashMm: null };
}

/** Drawings stand side by side where two go on one line. */
function addDrawing(
  flow: Flow,
  drawing: Drawing,
  title: string | null,
  last: { x: number; y: number; height: number } | null,
): { x: number; y: number; height: number } {
  const titleMm = title === null ? 0 : LINE_MM;
  const height = drawing.heightMm + titleMm;
  const isBeside = last !== null && title !== null && last.x + drawing.widthMm <= flow.left + flow.width + 0.01;
  const [x, y] = isBeside ? [last.x, last.y] : [flow.left, 0];
  let top = y;
  if (!isBeside) {
    if (last) flow.y = last.y + last.height + 3;
    flow.need(height);
    top = flow.y - 3;
  }
  if (title !== null) flow.text(title, x, top + 3, SMALL_MM, true);
  flow.add(...movedBy(drawing.items, x, top + titleMm));
  if (title !== null) flow.add(frame(x, top + titleMm, drawing));
  flow.y = Math.max(flow.y, top + height + 3);
  // A map that stands alone is followed from a new line.
  return { x: title === null ? Infinity : x + drawing.widthMm + 8, y: top, height };
}

const TICK_COLUMNS = 2;

function ticks(flow: Flow, items: readonly string[]): void {
  const width = flow.width / TICK_COLUMNS;
  let at = 0;
  while (at < items.length) {
    flow.need(SMALL_LINE_MM);
    const row = items.slice(at, at + TICK_COLUMNS);
    const lines = row.map((words) => wrapped(words, width - 8, SMALL_MM));
    const height = Math.max(...lines.map((own) => own.length)) * SMALL_LINE_MM + 1;
    flow.need(height);
    lines.forEach((own, k) => {
      const x = flow.left + k * width;
      const [y, size] = [flow.y - 2.6, 3];
      const points = Float64Array.of(x, y, x + size, y, x + size, y + size, x, y + size);
      flow.add({ type: 'line', points, closed: true, widthMm: 0.25, grey: 0.2, dashMm: null });
      own.forEach((line, i) => flow.text(line, x + 5, flow.y + i * SMALL_LINE_MM, SMALL_MM));
    });
    flow.y += height;
    at += TICK_COLUMNS;
  }
}
