import type { Saving } from '@junctura/core/advice';
import type { ThreadBox } from '@junctura/core/materials';
import type { Piece } from '@junctura/core/piece';
import type { OwnHand } from '@junctura/core/plan';

/** What the page asks of the worker that reckons with thread. The ticket comes back with the answer. */
export type ThreadRequest =
  | {
      /** How often everything reaches, where a piece is worked many times. */
      readonly type: 'odds';
      readonly ticket: number;
      /** For each colour its loads, and what is had over what is planned. */
      readonly needs: readonly { readonly loads: number; readonly share: number }[];
      readonly runs: number;
      readonly handSpread: number;
    }
  | {
      /** What saves thread of one shade, each way with its effect. */
      readonly type: 'savings';
      readonly ticket: number;
      readonly piece: Piece;
      readonly box: ThreadBox;
      readonly own: OwnHand;
      /** The shade, as `range code lot`. */
      readonly shade: string;
    };

export type ThreadReply =
  | { readonly type: 'odds'; readonly ticket: number; readonly all: number }
  | { readonly type: 'savings'; readonly ticket: number; readonly savings: readonly Saving[] }
  | { readonly type: 'failed'; readonly ticket: number; readonly problem: string };
