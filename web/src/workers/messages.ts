import type { Finding } from '@junctura/core/advice';
import type { PlacedShape } from '@junctura/core/drawing';
import type { Outcome } from '@junctura/core/measure';
import type { Piece } from '@junctura/core/piece';
import type { OwnHand, Plan, PlannedPass } from '@junctura/core/plan';

/** What the page asks of the planner's worker. The ticket comes back with the answer. */
export type PlannerRequest =
  | { readonly type: 'plan'; readonly ticket: number; readonly piece: Piece; readonly own: OwnHand }
  | {
      readonly type: 'readDrawing';
      readonly ticket: number;
      readonly text: string;
      readonly id: string;
      readonly name: string;
    };

/** What the worker answers. */
export type PlannerReply =
  | { readonly type: 'planned'; readonly ticket: number; readonly news: PlanNews }
  | { readonly type: 'read'; readonly ticket: number; readonly outcome: Outcome<Piece> }
  | { readonly type: 'failed'; readonly ticket: number; readonly problem: string };

/** A plan in which everything the page already has is named by number instead of sent again. */
export interface PlanNews {
  readonly summary: Omit<Plan, 'parts'>;
  readonly parts: readonly { readonly placed: number; readonly passes: readonly number[] }[];
  readonly freshShapes: readonly (readonly [number, PlacedShape])[];
  readonly freshPasses: readonly (readonly [number, PlannedPass])[];
  readonly findings: readonly Finding[];
}
