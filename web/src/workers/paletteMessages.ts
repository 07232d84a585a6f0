import type { PictureColour } from '@junctura/core/colour';
import type { Outcome } from '@junctura/core/measure';

/** What the page asks of the worker that takes palettes: the colours of a picture. */
export interface PaletteRequest {
  readonly file: Blob;
  readonly colours: number;
}

export interface PalettePicture {
  readonly colours: readonly PictureColour[];
  /** The picture made small, to be looked at and recoloured: its pixels, row by row. */
  readonly small: { readonly width: number; readonly height: number; readonly rgba: Uint8ClampedArray<ArrayBuffer> };
}

export type PaletteReply = Outcome<PalettePicture>;
