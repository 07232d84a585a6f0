import type { ScanCell } from '../../geometry/index.ts';

/**
 * The order in which the cells of a filling are worked, and from which end: always on to the nearest end of a cell that is
 * not yet worked, beginning with the first.
 */
export function cellOrder(cells: readonly ScanCell[]): { cell: ScanCell; fromTop: boolean }[] {
  const waiting = new Set(cells);
  const order: { cell: ScanCell; fromTop: boolean }[] = [];
  let [u, v] = cells[0] ? middleOf(cells[0], true) : [0, 0];
  while (waiting.size > 0) {
    let [best, bestFromTop, bestWay] = [null as ScanCell | null, true, Infinity];
    for (const cell of waiting) {
      for (const fromTop of [true, false]) {
        const [eu, ev] = middleOf(cell, fromTop);
        const way = Math.hypot(eu - u, ev - v);
        if (way < bestWay) [best, bestFromTop, bestWay] = [cell, fromTop, way];
      }
    }
    waiting.delete(best!);
    order.push({ cell: best!, fromTop: bestFromTop });
    [u, v] = middleOf(best!, !bestFromTop);
  }
  return order;
}

function middleOf({ left, right }: ScanCell, top: boolean): [u: number, v: number] {
  const l = top ? 0 : left.length - 2;
  const r = top ? 0 : right.length - 2;
  return [(left[l]! + right[r]!) / 2, (left[l + 1]! + right[r + 1]!) / 2];
}
