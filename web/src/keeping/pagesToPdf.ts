import fontkit from '@pdf-lib/fontkit';
import { lettersOf, type Page } from '@junctura/core/paper';
import {
  type Color,
  closePath,
  grayscale,
  LineCapStyle,
  lineTo,
  moveTo,
  PDFDocument,
  type PDFFont,
  type PDFPage,
  popGraphicsState,
  pushGraphicsState,
  rgb,
  setDashPattern,
  setLineCap,
  setLineJoin,
  setLineWidth,
  setStrokingColor,
  stroke,
} from 'pdf-lib';
import { PRINT_FONTS, readShipped } from './printFonts.ts';

const POINTS_PER_MM = 72 / 25.4;

export interface PrintOptions {
  /** PNG files, by the names under which pages ask for them. */
  readonly pictures?: Readonly<Record<string, Uint8Array>>;
  /** Reads a file of the printed face. */
  readonly readFont?: (address: string) => Promise<Uint8Array>;
}

/** What is printed, and the letters that no shipped font has: they come out as question marks. */
export interface Printed {
  readonly bytes: Uint8Array;
  readonly unknown: string;
}

/** Pages in mm as a PDF at true size. */
export async function pagesToPdf(
  pages: readonly Page[],
  title: string,
  { pictures = {}, readFont = readShipped }: PrintOptions = {},
): Promise<Printed> {
  const pdf = await PDFDocument.create();
  pdf.registerFontkit(fontkit);
  pdf.setTitle(title);
  pdf.setCreator('Junctura');
  const type = await PrintType.load(pdf, lettersOf(pages), pages.some(hasBold), readFont);
  for (const page of pages) {
    const sheet = pdf.addPage([page.widthMm * POINTS_PER_MM, page.heightMm * POINTS_PER_MM]);
    drawPage(sheet, page, type);
    await drawPictures(pdf, sheet, page, pictures);
  }
  return { bytes: await pdf.save(), unknown: type.unknown };
}

function hasBold({ items }: Page): boolean {
  return items.some((item) => item.type === 'text' && item.isBold);
}

/** Text in the fonts that have its letters. */
class PrintType {
  private constructor(
    private readonly plain: readonly PDFFont[],
    private readonly bold: readonly PDFFont[],
    private readonly byLetter: ReadonlyMap<string, number>,
    readonly unknown: string,
  ) {}

  /** Embeds as many of the fonts as the letters ask for. */
  static async load(
    pdf: PDFDocument,
    letters: string,
    isBold: boolean,
    read: (address: string) => Promise<Uint8Array>,
  ): Promise<PrintType> {
    const plain: PDFFont[] = [];
    const bold: PDFFont[] = [];
    const byLetter = new Map<string, number>();
    let left = [...letters];
    for (const [i, font] of PRINT_FONTS.entries()) {
      // The first is there for the question mark, too.
      if (i > 0 && left.length === 0) break;
      const own = await pdf.embedFont(await read(font.plain), { subset: true });
      plain.push(own);
      if (isBold) bold.push(await pdf.embedFont(await read(font.bold), { subset: true }));
      const known = new Set(own.getCharacterSet());
      for (const letter of left) if (known.has(letter.codePointAt(0)!)) byLetter.set(letter, i);
      left = left.filter((letter) => !byLetter.has(letter));
    }
    return new PrintType(plain, bold, byLetter, left.join(''));
  }

  /** A text in stretches of one font each. */
  runs(text: string, isBold: boolean): { readonly text: string; readonly font: PDFFont }[] {
    const fonts = isBold ? this.bold : this.plain;
    const runs: { text: string; font: PDFFont }[] = [];
    for (const letter of text) {
      const at = this.byLetter.get(letter);
      const font = fonts[at ?? 0]!;
      const shown = at === undefined ? '?' : letter;
      const last = runs.at(-1);
      if (last?.font === font) last.text += shown;
      else runs.push({ text: shown, font });
    }
    return runs;
  }
}

function inkOf(grey: number, hex?: string): Color {
  if (!hex) return grayscale(grey);
  const channel = (at: number): number => parseInt(hex.slice(at, at + 2), 16) / 255;
  return rgb(channel(1), channel(3), channel(5));
}

function drawPage(sheet: PDFPage, page: Page, type: PrintType): void {
  const x = (mm: number): number => mm * POINTS_PER_MM;
  const y = (mm: number): number => (page.heightMm - mm) * POINTS_PER_MM;
  for (const item of page.items) {
    if (item.type === 'picture') continue;
    if (item.type === 'text') {
      const size = item.sizeMm * POINTS_PER_MM;
      const runs = type.runs(item.text, item.isBold ?? false);
      const width = runs.reduce((sum, run) => sum + run.font.widthOfTextAtSize(run.text, size), 0);
      let at = x(item.x) - (item.align === 'centre' ? width / 2 : 0);
      for (const { text, font } of runs) {
        sheet.drawText(text, { x: at, y: y(item.y), size, font, color: grayscale(item.grey) });
        at += font.widthOfTextAtSize(text, size);
      }
      continue;
    }
    const isThread = item.type === 'strokes';
    const dash = isThread || item.dashMm === null ? [] : [x(item.dashMm)];
    sheet.pushOperators(
      pushGraphicsState(),
      setLineWidth(x(item.widthMm)),
      setStrokingColor(isThread ? inkOf(0, item.hex) : inkOf(item.grey, item.hex)),
      setLineCap(LineCapStyle.Round),
      setLineJoin(1),
      setDashPattern(dash as never, 0),
    );
    for (const points of isThread ? item.lines : [item.points]) {
      sheet.pushOperators(moveTo(x(points[0]!), y(points[1]!)));
      for (let i = 2; i < points.length; i += 2) sheet.pushOperators(lineTo(x(points[i]!), y(points[i + 1]!)));
    }
    if (!isThread && item.closed) sheet.pushOperators(closePath());
    sheet.pushOperators(stroke(), popGraphicsState());
  }
}

async function drawPictures(
  pdf: PDFDocument,
  sheet: PDFPage,
  { items, heightMm }: Page,
  pictures: Readonly<Record<string, Uint8Array>>,
): Promise<void> {
  for (const item of items) {
    const png = item.type === 'picture' ? pictures[item.name] : undefined;
    if (item.type !== 'picture' || !png) continue;
    sheet.drawImage(await pdf.embedPng(png), {
      x: item.x * POINTS_PER_MM,
      y: (heightMm - item.y - item.heightMm) * POINTS_PER_MM,
      width: item.widthMm * POINTS_PER_MM,
      height: item.heightMm * POINTS_PER_MM,
    });
  }
}
