/** Paper that people print on. */
export interface Sheet {
  readonly id: 'a4' | 'letter';
  readonly name: string;
  readonly widthMm: number;
  readonly heightMm: number;
}

export const SHEETS: readonly Sheet[] = [
  { id: 'a4', name: 'A4', widthMm: 210, heightMm: 297 },
  { id: 'letter', name: 'Letter', widthMm: 215.9, heightMm: 279.4 },
];

/** A stroke or a text on a page; all in mm from its top left corner. */
export type PageItem =
  | {
      readonly type: 'line';
      readonly points: Float64Array;
      readonly closed: boolean;
      readonly widthMm: number;
      /** 0 black to 1 white. */
      readonly grey: number;
      readonly dashMm: number | null;
    }
  | {
      readonly type: 'text';
      readonly x: number;
      readonly y: number;
      readonly sizeMm: number;
      readonly text: string;
      readonly align: 'left' | 'centre';
      readonly grey: number;
    };

export interface Page {
  readonly widthMm: number;
  readonly heightMm: number;
  readonly items: readonly PageItem[];
}
