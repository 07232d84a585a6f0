import type { Page } from '@junctura/core/paper';
import {
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
  setDashPattern,
  setLineCap,
  setLineJoin,
  setLineWidth,
  setStrokingGrayscaleColor,
  StandardFonts,
  stroke,
} from 'pdf-lib';

const POINTS_PER_MM = 72 / 25.4;

/** Pages in mm as a PDF at true size. */
export async function pagesToPdf(pages: readonly Page[], title: string): Promise<Uint8Array> {
  const pdf = await PDFDocument.create();
  pdf.setTitle(title);
  pdf.setCreator('Junctura');
  const font = await pdf.embedFont(StandardFonts.Helvetica);
  for (const page of pages) {
    drawPage(pdf.addPage([page.widthMm * POINTS_PER_MM, page.heightMm * POINTS_PER_MM]), page, font);
  }
  return pdf.save();
}

function drawPage(sheet: PDFPage, page: Page, font: PDFFont): void {
  const x = (mm: number): number => mm * POINTS_PER_MM;
  const y = (mm: number): number => (page.heightMm - mm) * POINTS_PER_MM;
  for (const item of page.items) {
    if (item.type === 'text') {
      const size = item.sizeMm * POINTS_PER_MM;
      const text = printable(item.text, font);
      const shift = item.align === 'centre' ? font.widthOfTextAtSize(text, size) / 2 : 0;
      sheet.drawText(text, { x: x(item.x) - shift, y: y(item.y), size, font, color: grayscale(item.grey) });
      continue;
    }
    const { points } = item;
    const dash = item.dashMm === null ? [] : [x(item.dashMm)];
    sheet.pushOperators(
      pushGraphicsState(),
      setLineWidth(x(item.widthMm)),
      setStrokingGrayscaleColor(item.grey),
      setLineCap(LineCapStyle.Round),
      setLineJoin(1),
      setDashPattern(dash as never, 0),
      moveTo(x(points[0]!), y(points[1]!)),
    );
    for (let i = 2; i < points.length; i += 2) sheet.pushOperators(lineTo(x(points[i]!), y(points[i + 1]!)));
    if (item.closed) sheet.pushOperators(closePath());
    sheet.pushOperators(stroke(), popGraphicsState());
  }
}

/** The standard font knows the letters of western Europe; any other becomes a question mark. */
function printable(text: string, font: PDFFont): string {
  const known = new Set(font.getCharacterSet());
  return [...text].map((letter) => (known.has(letter.codePointAt(0)!) ? letter : '?')).join('');
}
