import type { FixedOrder, LayerRef } from '../piece/index.ts';
import type { Rule } from './rules.ts';
import type { Step } from './steps.ts';

const layerOf = ({ part, layer, shade }: Step): LayerRef => ({ part, layer, shade });

/**
 * What must be fixed so that some steps in a row stand elsewhere: the first of them after what is then before it, the last before what is then
 * after it.
 * @param from the first of them, and `to` just after the last, by their places in the order
 * @param at the place before which they go, 0 to the number of steps
 */
export function fixedAt(order: readonly Step[], from: number, to: number, at: number): FixedOrder['pairs'] {
  if (at >= from && at <= to) return [];
  const [first, last] = [order[from]!, order[to - 1]!];
  const [before, after] = [order[at - 1], order[at]];
  const isApart = (a: Step, b: Step): boolean => a.part !== b.part || a.layer !== b.layer || a.shade !== b.shade;
  return [
    ...(before && isApart(before, first) ? [{ before: layerOf(before), after: layerOf(first) }] : []),
    ...(after && isApart(last, after) ? [{ before: layerOf(last), after: layerOf(after) }] : []),
  ];
}

/** The rules that some steps in a row would break, if they went elsewhere. */
export function standsAgainst(rules: readonly Rule[], from: number, to: number, at: number): Rule[] {
  const isMoved = (place: number): boolean => place >= from && place < to;
  return rules.filter(({ before, after }) => {
    if (isMoved(before) === isMoved(after)) return false;
    return isMoved(after) ? at <= before : at > after;
  });
}

/** Like steps in a row, told as one: the five petals. */
export interface StepLine {
  /** The place of the first, and just after the last. */
  readonly from: number;
  readonly to: number;
}

/** An order as a list is read: steps of one motif in one stitch and threading stand in one line. */
export function linesOf(order: readonly Step[], from = 0, to = order.length): StepLine[] {
  const lines: StepLine[] = [];
  for (let i = from; i < to; i++) {
    const last = lines.at(-1);
    const before = order[i - 1];
    const [a, b] = [before, order[i]!];
    const isLike =
      last !== undefined &&
      a?.motif === b.motif &&
      a.setUp === b.setUp &&
      a.stitch === b.stitch &&
      a.role === b.role &&
      a.position === b.position &&
      a.zone === b.zone &&
      a.journey === b.journey;
    if (isLike) lines[lines.length - 1] = { from: last.from, to: i + 1 };
    else lines.push({ from: i, to: i + 1 });
  }
  return lines;
}
