import { failure, success, type Outcome } from '../measure/index.ts';
import * as say from './words.ts';

/** Paper, or a sheet of film, that people print on. */
export interface Sheet {
  readonly id: 'a4' | 'a3' | 'letter' | 'film';
  readonly name: string;
  readonly widthMm: number;
  readonly heightMm: number;
}

export const SHEETS: readonly Sheet[] = [
  { id: 'a4', name: 'A4', widthMm: 210, heightMm: 297 },
  { id: 'a3', name: 'A3', widthMm: 297, heightMm: 420 },
  { id: 'letter', name: 'Letter', widthMm: 215.9, heightMm: 279.4 },
];

/** A sheet of film of a person’s own size. */
export function filmSheet(widthMm: number, heightMm: number): Sheet {
  return { id: 'film', name: 'Film', widthMm, heightMm };
}
export const FILM_RANGE_MM = { min: 80, max: 1000 } as const;

/** What a printer makes of a length: measured over wanted, across and down the page. */
export interface PrinterScale {
  readonly across: number;
  readonly down: number;
}

export const TRUE_PRINTER: PrinterScale = { across: 1, down: 1 };
/** Printers that are further off than this are set to “fit to page”, not askew. */
const MOST_OFF = 0.12;

/**
 * The scale of a printer from what its bars measure.
 * @param acrossMm of the bar across, which is 100 mm
 * @param downMm of the bar down the page, which is 50 mm
 */
export function printerScale(acrossMm: number, downMm: number): Outcome<PrinterScale> {
  if (!Number.isFinite(acrossMm) || !Number.isFinite(downMm)) {
    return failure('That can’t be right: enter what the bars measure in millimetres, for example 98.5.');
  }
  const scale = { across: acrossMm / BAR_MM, down: downMm / (BAR_MM / 2) };
  for (const [tooFarOff, share, wanted] of [
    [say.barAcross, scale.across, BAR_MM],
    [say.barDown, scale.down, BAR_MM / 2],
  ] as const) {
    if (!(Math.abs(share - 1) <= MOST_OFF)) {
      return failure(tooFarOff(wanted, share * wanted));
    }
  }
  return success(scale);
}

/** The bar across; the one down the page is half as long. */
export const BAR_MM = 100;

/** A stroke, many strokes alike, a picture or a text on a page; all in mm from its top left corner. */
export type PageItem = PageDrawing & {
  /** The number of the step that it shows, for whoever looks for it by that. */
  readonly step?: string;
};

type PageDrawing =
  | {
      /** Strokes of one kind: thread. */
      readonly type: 'strokes';
      readonly lines: readonly Float64Array[];
      readonly widthMm: number;
      readonly hex: string;
    }
  | {
      readonly type: 'line';
      readonly points: Float64Array;
      readonly closed: boolean;
      readonly widthMm: number;
      /** 0 black to 1 white; or a colour. */
      readonly grey: number;
      readonly hex?: string;
      readonly dashMm: number | null;
    }
  | {
      /** A picture that whoever prints has painted: where it goes. */
      readonly type: 'picture';
      readonly name: string;
      readonly x: number;
      readonly y: number;
      readonly widthMm: number;
      readonly heightMm: number;
    }
  | {
      readonly type: 'text';
      readonly x: number;
      readonly y: number;
      readonly sizeMm: number;
      readonly text: string;
      readonly align: 'left' | 'centre';
      readonly grey: number;
      readonly isBold?: boolean;
    };

export interface Page {
  readonly widthMm: number;
  readonly heightMm: number;
  readonly items: readonly PageItem[];
}

/** All letters that are written on some pages, each once. */
export function lettersOf(pages: readonly Page[]): string {
  const letters = new Set<string>();
  for (const { items } of pages) {
    for (const item of items) if (item.type === 'text') for (const letter of item.text) letters.add(letter);
  }
  return [...letters].join('');
}
