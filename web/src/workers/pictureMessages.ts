import type { PictureOptions } from '@junctura/core/drawing';
import type { Outcome } from '@junctura/core/measure';
import type { Piece } from '@junctura/core/piece';

/** What the page asks of the worker that reads pictures, and what it answers. */
export type PictureRequest =
  | { readonly type: 'open'; readonly file: Blob }
  | {
      readonly type: 'read';
      readonly ticket: number;
      readonly options: PictureOptions;
      readonly id: string;
      readonly name: string;
    };

export interface OpenedPicture {
  readonly width: number;
  readonly height: number;
  /** The picture made small, to be looked at. */
  readonly preview: Blob;
}

export type PictureReply =
  | { readonly type: 'opened'; readonly outcome: Outcome<OpenedPicture> }
  | { readonly type: 'progress'; readonly ticket: number; readonly share: number }
  | { readonly type: 'read'; readonly ticket: number; readonly outcome: Outcome<Piece> };
