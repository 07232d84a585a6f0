import { NearestPoints, type ScanCell } from '../../geometry/index.ts';

/**
 * The order in which the cells of a filling are worked, and from which end: always on to the nearest end of a cell that is
 * not yet worked, beginning with the first.
 */
export function cellOrder(cells: readonly ScanCell[]): { cell: ScanCell; fromTop: boolean }[] {
  const ends = Float64Array.from(cells.flatMap((cell) => [...middleOf(cell, true), ...middleOf(cell, false)]));
  const waiting = new NearestPoints(ends);
  const order: { cell: ScanCell; fromTop: boolean }[] = [];
  let end: number | null = cells.length > 0 ? 0 : null;
  while (end !== null) {
    const fromTop = end % 2 === 0;
    order.push({ cell: cells[end >> 1]!, fromTop });
    waiting.remove(end);
    const other: number = end ^ 1;
    waiting.remove(other);
    end = waiting.nearest(ends[2 * other]!, ends[2 * other + 1]!);
  }
  return order;
}

function middleOf({ left, right }: ScanCell, top: boolean): [u: number, v: number] {
  const l = top ? 0 : left.length - 2;
  const r = top ? 0 : right.length - 2;
  return [(left[l]! + right[r]!) / 2, (left[l + 1]! + right[r + 1]!) / 2];
}
