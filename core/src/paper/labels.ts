import { fitted, wrapped } from './fitting.ts';
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

/** A care label to sew or tie on, and a price card, on one sheet; their edges are dashed, to be cut. */
export function labelPage({ name, maker, care, made, price }: LabelWords): Page {
  const items: PageItem[] = [
    text(20, 15, 'Care label and price card: cut along the dashes.', 3.2),
    ...cut(CARE),
    text(CARE.x + 5, CARE.y + 9, fitted(name, CARE.width - 10, 4.6), 4.6, true),
    ...lines(CARE.x + 5, CARE.y + 17, [
      ...wrapped(made, CARE.width - 10, TEXT_MM),
      ...wrapped(care, CARE.width - 10, TEXT_MM),
    ]),
    text(CARE.x + 5, CARE.y + CARE.height - 4, fitted(maker, CARE.width - 10, 2.8), 2.8),
  ];
  if (price !== null) {
    items.push(
      ...cut(CARD),
      text(CARD.x + 6, CARD.y + 13, fitted(name, CARD.width - 12, 6), 6, true),
      ...lines(CARD.x + 6, CARD.y + 22, wrapped(made, CARD.width - 12, TEXT_MM)),
      text(CARD.x + 6, CARD.y + 42, price, 6.4, true),
      text(CARD.x + 6, CARD.y + CARD.height - 5, fitted(say.madeByHand(maker), CARD.width - 12, 3), 3),
    );
  }
  return { widthMm: WIDTH_MM, heightMm: HEIGHT_MM, items };
}

function text(x: number, y: number, words: string, sizeMm: number, isBold = false): PageItem {
  return { type: 'text', x, y, sizeMm, text: words, align: 'left', grey: 0.1, isBold };
}

const lines = (x: number, y: number, words: readonly string[]): PageItem[] =>
  words.map((line, i) => text(x, y + i * TEXT_MM * 1.45, line, TEXT_MM));

function cut({ x, y, width, height }: { x: number; y: number; width: number; height: number }): PageItem[] {
  const points = Float64Array.of(x, y, x + width, y, x + width, y + height, x, y + height);
  return [{ type: 'line', points, closed: true, widthMm: 0.25, grey: 0.3, dashMm: 2 }];
}
