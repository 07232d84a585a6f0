import type { HoopTrial } from '@junctura/core/advice';
import type { Hoop, Piece } from '@junctura/core/piece';
import type { OwnHand } from '@junctura/core/plan';

/** One hoop to try, and what it gives. */
export interface TrialRequest {
  readonly ticket: number;
  readonly piece: Piece;
  readonly hoop: Hoop;
  readonly own: OwnHand;
}

export interface TrialReply {
  readonly ticket: number;
  readonly trial: HoopTrial;
  /** The piece in that hoop, the ring at the edge. */
  readonly picture: ImageBitmap;
}
