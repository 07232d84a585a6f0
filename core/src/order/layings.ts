import { laidScraps, topmostBelow, type PlannedPart } from '../work/index.ts';
import type { Step } from './steps.ts';

/** A scrap of cloth that is laid on: before the steps that work it down, and those of what lies on it. */
export interface Laying {
  /** The id of the scrap's part, and its place from back to front. */
  readonly part: string;
  readonly depth: number;
  /** The place of the order before which it is laid. */
  readonly at: number;
}

/** When the scraps of a piece are laid, in that order: each as late as what lies on it and what holds it allow. */
export function layingsOf(order: readonly Step[], parts: readonly PlannedPart[]): Laying[] {
  // Asked wherever steps are counted, and most pieces have none.
  if (!parts.some(({ part }) => part.scrap)) return [];
  const scraps = laidScraps(
    parts.map(({ part }) => part),
    parts.map(({ placed }) => placed),
  ).filter(({ depth }) => parts[depth]!.part.scrap && parts[depth]!.placed.box);
  const firstOf = new Map<number, number>();
  order.forEach(({ depth }, i) => {
    if (!firstOf.has(depth)) firstOf.set(depth, i);
  });
  const at = new Map<number, number>();
  // From the front to the back, so that a scrap is laid no later than one that lies on it.
  for (const scrap of [...scraps].reverse()) {
    const upon = parts.flatMap(({ placed }, depth) =>
      depth !== scrap.depth && topmostBelow([scrap], placed, depth) !== null ? [depth] : [],
    );
    const places = [scrap.depth, ...upon].flatMap((depth) => [firstOf.get(depth), at.get(depth)]);
    at.set(scrap.depth, Math.min(...places.filter((place) => place !== undefined), order.length));
  }
  return scraps
    .map(({ depth }): Laying => ({ part: parts[depth]!.part.id, depth, at: at.get(depth)! }))
    .sort((a, b) => a.at - b.at || a.depth - b.depth);
}
