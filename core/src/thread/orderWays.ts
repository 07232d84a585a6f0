import { drawingOrder, orderOfWork, type OrderOfWork } from '../order/index.ts';
import type { Piece, PlanInput } from '../piece/index.ts';
import { sumUp, type Plan } from './plan.ts';
import { orderTotals, type OrderTotals } from './orderTotals.ts';

/** A way to order the work: the person's own, the schools, and the drawing from back to front. */
export const ORDER_WAYS = ['own', 'colour', 'area', 'one-needle', 'drawing'] as const;
export type OrderWayId = (typeof ORDER_WAYS)[number];

export interface OrderWay {
  readonly id: OrderWayId;
  readonly totals: OrderTotals;
  /** What must be changed of how she works to take it; null: it is taken, or breaks rules and is only there to compare. */
  readonly worker: Partial<Piece['worker']> | null;
}

const CHANGES: Readonly<Record<OrderWayId, Partial<Piece['worker']> | null>> = {
  own: null,
  colour: { byArea: 0 },
  area: { byArea: 1 },
  'one-needle': { byArea: 0, needles: 1 },
  drawing: null,
};

/**
 * What each way of ordering a plan's work costs.
 * @param tell hears of each as it is found
 */
export function orderWays(piece: PlanInput, plan: Plan, tell: (way: OrderWay) => void = () => undefined): OrderWay[] {
  return ORDER_WAYS.map((id) => {
    const change = CHANGES[id];
    const changed = change ? { ...piece, worker: { ...piece.worker, ...change } } : piece;
    const isTaken = change !== null && isSame(piece.worker, change);
    const planned = id === 'own' || isTaken ? plan : inOrder(changed, plan, orderOf(id, changed, plan));
    const way: OrderWay = { id, totals: orderTotals(changed, planned), worker: isTaken ? null : change };
    tell(way);
    return way;
  });
}

function orderOf(id: OrderWayId, piece: PlanInput, { parts }: Plan): OrderOfWork {
  return id === 'drawing' ? drawingOrder(piece, parts) : orderOfWork(piece, parts);
}

/** The same work in another order. */
export function inOrder(piece: PlanInput, { parts, spread }: Plan, order: OrderOfWork): Plan {
  return sumUp(piece, parts, order, spread);
}

function isSame(worker: Piece['worker'], change: Partial<Piece['worker']>): boolean {
  return Object.entries(change).every(([key, value]) => worker[key as keyof Piece['worker']] === value);
}
