import type { Hoop } from '../piece/index.ts';
import type { PlannedPart } from '../work/index.ts';
import { firstHolding } from './positions/units.ts';

/** What is worked in one go: a layer of a part in one shade, in one position of the hoop. All count from 0. */
export interface WorkStep {
  /** The id of the part. */
  readonly part: string;
  /** The layer among the passes of the part, and the shade among its threads. */
  readonly layer: number;
  readonly shade: number;
  /** The place of the hoop among its positions. */
  readonly position: number;
}

/** The order of work: every figure that depends on what comes before what is computed from it. */
export type WorkOrder = readonly WorkStep[];

/** The order of the drawing itself, from back to front, each part in the first position that holds it. */
export function drawingOrder(
  parts: readonly PlannedPart[],
  hoop: Hoop | null,
  middles: readonly (readonly [number, number])[],
): WorkOrder {
  const positions = firstHolding(
    parts.map(({ placed }) => placed),
    hoop,
    middles,
  );
  return parts.flatMap(({ part, passes }, i) =>
    passes.flatMap(({ threads }, layer) =>
      threads.map((_, shade): WorkStep => ({ part: part.id, layer, shade, position: positions[i]! })),
    ),
  );
}

/** The same order with raised parts last, so that nothing is worked over them. */
export function raisedLast(order: WorkOrder, isRaised: (part: string) => boolean): WorkOrder {
  return [...order.filter(({ part }) => !isRaised(part)), ...order.filter(({ part }) => isRaised(part))];
}
