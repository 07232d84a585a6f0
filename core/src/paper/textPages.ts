import { fitted } from './fitting.ts';
import type { Page, PageItem } from './sheets.ts';
import * as say from './words.ts';

const [WIDTH_MM, HEIGHT_MM] = [210, 297];
const MARGIN_MM = 16;
const LINE_MM = 7;
const TEXT_MM = 3.4;
const TITLE_MM = 5.4;
/** Room for “page 10 of 12” beside a title. */
const NUMBER_MM = 48;

/**
 * Rows of text in columns, on as many A4 pages as they take.
 * @param columns where each begins, mm from the margin
 * @param boxes whether each row has a box to tick
 */
export function textPages(
  title: string,
  columns: readonly number[],
  rows: readonly (readonly string[])[],
  { boxes = false } = {},
): Page[] {
  const perPage = Math.floor((HEIGHT_MM - 2 * MARGIN_MM - 16) / LINE_MM);
  const count = Math.max(1, Math.ceil(rows.length / perPage));
  return Array.from({ length: count }, (_, page): Page => {
    const items: PageItem[] = [];
    const text = (x: number, y: number, words: string, sizeMm = TEXT_MM): void =>
      void items.push({ type: 'text', x, y, sizeMm, text: words, align: 'left', grey: 0.1 });
    // The number of the page stays, however long the title is.
    const room = WIDTH_MM - 2 * MARGIN_MM - (count > 1 ? NUMBER_MM : 0);
    const fits = fitted(title, room, TITLE_MM);
    text(MARGIN_MM, MARGIN_MM + 4, count > 1 ? say.pageTitle(fits, page + 1, count) : fits, TITLE_MM);
    rows.slice(page * perPage, (page + 1) * perPage).forEach((row, i) => {
      const y = MARGIN_MM + 16 + i * LINE_MM;
      const left = boxes ? MARGIN_MM + 7 : MARGIN_MM;
      if (boxes) items.push(box(MARGIN_MM, y - 3.4, 3.6));
      row.forEach((words, k) => {
        const room = (columns[k + 1] ?? WIDTH_MM - 2 * MARGIN_MM) - columns[k]!;
        text(left + columns[k]!, y, fitted(words, room - 2, TEXT_MM));
      });
    });
    return { widthMm: WIDTH_MM, heightMm: HEIGHT_MM, items };
  });
}

function box(x: number, y: number, size: number): PageItem {
  const points = Float64Array.of(x, y, x + size, y, x + size, y + size, x, y + size);
  return { type: 'line', points, closed: true, widthMm: 0.25, grey: 0.2, dashMm: null };
}
