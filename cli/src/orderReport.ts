import { roundTo } from '@junctura/core/measure';
import { drawingOrder, needleName, numberedAt, numberedSteps, type Rule, type Step } from '@junctura/core/order';
import type { Piece } from '@junctura/core/piece';
import {
  orderBound,
  orderTotals,
  firstSittings,
  inOrder,
  stepSeconds,
  type OrderTotals,
  type Plan,
} from '@junctura/core/thread';

/** The order of work as the headless planner tells it. */
export function orderReport(piece: Piece, plan: Plan): object {
  const { order, work, rules, parts } = plan;
  const sittings = firstSittings(piece, plan);
  const numbered = numberedSteps(plan);
  const because = order.map((): Set<string> => new Set());
  for (const { id, before, after } of rules.rules) {
    because[before]!.add(id);
    because[after]!.add(id);
  }
  return {
    steps: order.map((step, i) => ({
      n: i + 1,
      step: numberedAt(numbered, i).number,
      part: step.part,
      layer: step.layer,
      role: step.role,
      stitch: step.stitch,
      colour: step.colour,
      strands: step.strands,
      needle: needleName(step.needle),
      position: step.position,
      sitting: sittings.get(i) ?? 1,
      seconds: roundTo(stepSeconds(work[i]), 1),
      threadMm: roundTo(step.threadMm, 2),
      because: [...because[i]!],
    })),
    /** Scraps that are laid: each with its own number, before the step `n`. */
    lays: numbered.flatMap(({ lays, from }) =>
      lays.map(({ number, part }) => ({ step: number, part, before: from + 1 })),
    ),
    rules: rules.rules.map((rule) => told(rule, order)),
    gaveWay: [...rules.gaveWay, ...rules.broken].map((rule) => told(rule, order)),
    totals: rounded(orderTotals(piece, plan)),
    bound: orderBound(piece, plan),
    drawingOrder: rounded(orderTotals(piece, inOrder(piece, plan, drawingOrder(piece, parts)))),
  };
}

function told({ id, before, after }: Rule, order: readonly Step[]): object {
  const name = ({ part, layer }: Step): string => `${part}:${layer}`;
  return { id, before: name(order[before]!), after: name(order[after]!) };
}

function rounded({ wholeM: _wholeM, firstMotifSeconds: _first, ...totals }: OrderTotals): object {
  return { ...totals, carriedMm: roundTo(totals.carriedMm, 1), seconds: roundTo(totals.seconds, 1) };
}
