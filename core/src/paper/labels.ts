import type { Page, PageItem } from './sheets.ts';
import * as say from './words.ts';

export interface LabelWords {
  readonly name: string;
  readonly maker: string;
  readonly care: string;
  /** What it is made of, in words. */
  readonly made: string;
  /** A price in words; null: no card. */
  readonly price: string | null;
}

const [WIDTH_MM, HEIGHT_MM] = [210, 297];
const CARE = { x: 20, y: 24, width: 70, height: 44 } as const;
const CARD = { x: 20, y: 84, width: 85, height: 55 } as const;
const TEXT_MM = 3;
/** The width of a letter of the printed face, about, as a share of its size. */
const LETTER_WIDTHS = 0.5;

/** A care label to sew or tie on, and a price card, on one sheet; their edges are dashed, to be cut. */
export function labelPage({ name, maker, care, made, price }: LabelWords): Page {
  const items: PageItem[] = [
    text(20, 15, 'Care label and price card: cut along the dashes.', 3.2),
    ...cut(CARE),
    text(CARE.x + 5, CARE.y + 9, name, 4.6, true),
    ...lines(CARE.x + 5, CARE.y + 17, [...wrapped(made, CARE.width - 10), ...wrapped(care, CARE.width - 10)]),
    text(CARE.x + 5, CARE.y + CARE.height - 4, maker, 2.8),
  ];
  if (price !== null) {
    items.push(
      ...cut(CARD),
      text(CARD.x + 6, CARD.y + 13, name, 6, true),
      ...lines(CARD.x + 6, CARD.y + 22, wrapped(made, CARD.width - 12)),
      text(CARD.x + 6, CARD.y + 42, price, 6.4, true),
      text(CARD.x + 6, CARD.y + CARD.height - 5, say.madeByHand(maker), 3),
    );
  }
  return { widthMm: WIDTH_MM, heightMm: HEIGHT_MM, items };
}

function text(x: number, y: number, words: string, sizeMm: number, isBold = false): PageItem {
  return { type: 'text', x, y, sizeMm, text: words, align: 'left', grey: 0.1, isBold };
}

const lines = (x: number, y: number, words: readonly string[]): PageItem[] =>
  words.map((line, i) => text(x, y + i * TEXT_MM * 1.45, line, TEXT_MM));

function wrapped(words: string, roomMm: number): string[] {
  const letters = Math.floor(roomMm / (TEXT_MM * LETTER_WIDTHS));
  const found: string[] = [];
  for (const word of words.split(' ')) {
    const last = found.at(-1);
    if (last !== undefined && last.length + 1 + word.length <= letters) found[found.length - 1] = `${last} ${word}`;
    else found.push(word);
  }
  return found;
}

function cut({ x, y, width, height }: { x: number; y: number; width: number; height: number }): PageItem[] {
  const points = Float64Array.of(x, y, x + width, y, x + width, y + height, x, y + height);
  return [{ type: 'line', points, closed: true, widthMm: 0.25, grey: 0.3, dashMm: 2 }];
}
