import type { PlacedShape } from '../drawing/index.ts';
import type { Part, Pass } from '../piece/index.ts';

/** A pass with nothing left open: its direction is settled and it knows why it is as it is. */
export interface SettledPass extends Pass {
  readonly angleDeg: number;
  /** A sentence for the person. */
  readonly reason: string;
}

/** A part with its passes, nothing of them left open. */
export interface Settled {
  readonly part: Part;
  readonly placed: PlacedShape;
  readonly passes: readonly SettledPass[];
}
