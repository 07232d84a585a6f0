import { NearestPoints, type ScanCell, type SpanFan, placeAt } from '../../geometry/index.ts';

/**
 * The order in which stretches are worked, and from which end: always on to the nearest end that is not yet worked.
 * @param ends both ends of each stretch, `x, y, x, y`: end 2i is the start of stretch i, end 2i + 1 its end
 * @returns the end at which each stretch is begun, in order
 */
export function nearestEndFirst(ends: Float64Array): number[] {
  const waiting = new NearestPoints(ends);
  const order: number[] = [];
  let end: number | null = ends.length > 0 ? 0 : null;
  while (end !== null) {
    order.push(end);
    waiting.remove(end);
    const other: number = end ^ 1;
    waiting.remove(other);
    end = waiting.nearest(...placeAt(ends, other));
  }
  return order;
}

/** The order in which the cells of a filling are worked, and from which end. */
export function cellOrder(cells: readonly ScanCell[]): { cell: ScanCell; fromTop: boolean }[] {
  const ends = Float64Array.from(cells.flatMap((cell) => [...middleOf(cell, true), ...middleOf(cell, false)]));
  return nearestEndFirst(ends).map((end) => ({ cell: cells[end >> 1]!, fromTop: end % 2 === 0 }));
}

function middleOf({ left, right }: ScanCell, top: boolean): [u: number, v: number] {
  const l = top ? 0 : left.length - 2;
  const r = top ? 0 : right.length - 2;
  return [(left[l]! + right[r]!) / 2, (left[l + 1]! + right[r + 1]!) / 2];
}

/** Fans of spans in the order of working, each from the end that is nearest to where the last one ended. */
export function fanOrder(fans: readonly SpanFan[]): SpanFan[] {
  const middle = (fan: SpanFan, i: number): [x: number, y: number] => [
    (fan[i]! + fan[i + 2]!) / 2,
    (fan[i + 1]! + fan[i + 3]!) / 2,
  ];
  const ends = Float64Array.from(fans.flatMap((fan) => [...middle(fan, 0), ...middle(fan, fan.length - 4)]));
  return nearestEndFirst(ends).map((end) => (end % 2 === 0 ? fans[end >> 1]! : backwards(fans[end >> 1]!)));
}

/** The spans of a fan from its last to its first. */
function backwards(fan: SpanFan): SpanFan {
  const turned = new Float64Array(fan.length);
  for (let i = 0; i < fan.length; i += 4) turned.set(fan.subarray(fan.length - 4 - i, fan.length - i), i);
  return turned;
}
