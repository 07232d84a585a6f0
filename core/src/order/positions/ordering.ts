import { Memory } from '../../measure/index.ts';
import { raisedParts, crushedIn } from './crushing.ts';
import { keptPlaces, type Hoop, type HoopPlace, type Piece } from '../../piece/index.ts';
import type { PlannedPart } from '../../work/index.ts';

/** With more positions than this, not every order of them is tried. */
const MOST_ORDERED = 6;

/**
 * Positions in the order that crushes least raised work, and among those the one that moves the hoop least, beginning at the top left.
 */
export function orderPositions(
  parts: readonly PlannedPart[],
  hoop: Hoop,
  middles: readonly HoopPlace[],
): Piece['positions'] {
  const reading = [...middles].sort((p, q) => p[1] - q[1] || p[0] - q[0]);
  const raised = raisedParts(parts, hoop, reading, new Memory());
  const cost = (order: readonly number[]): number => {
    const apart = (p: number, q: number): number =>
      Math.hypot(reading[p]![0] - reading[q]![0], reading[p]![1] - reading[q]![1]);
    const way = order.reduce((sum, place, k) => sum + (k ? apart(place, order[k - 1]!) : 0), 0);
    return crushedIn(order, raised).length * 1e6 + way;
  };
  let best: readonly number[] = reading.map((_, k) => k);
  if (reading.length > 1 && reading.length <= MOST_ORDERED) {
    let least = cost(best);
    for (const order of permutations(best)) {
      const tried = cost(order);
      if (tried < least - 1e-6) [best, least] = [order, tried];
    }
  }
  if (reading.length > MOST_ORDERED) best = improved(best, cost);
  return keptPlaces(best.map((k) => reading[k]!));
}

/** Passes over an order in which one position at a time is put where it costs least. */
const MOST_PASSES = 4;

function improved(order: readonly number[], cost: (order: readonly number[]) => number): readonly number[] {
  let [best, least] = [order, cost(order)];
  for (let pass = 0; pass < MOST_PASSES; pass++) {
    const before = least;
    for (const moved of order) {
      const others = best.filter((k) => k !== moved);
      for (let at = 0; at <= others.length; at++) {
        const tried = [...others.slice(0, at), moved, ...others.slice(at)];
        const costs = cost(tried);
        if (costs < least - 1e-6) [best, least] = [tried, costs];
      }
    }
    if (least >= before) break;
  }
  return best;
}

function* permutations<T>(items: readonly T[]): Generator<T[]> {
  if (items.length < 2) {
    yield [...items];
    return;
  }
  for (let i = 0; i < items.length; i++) {
    for (const rest of permutations([...items.slice(0, i), ...items.slice(i + 1)])) yield [items[i]!, ...rest];
  }
}
