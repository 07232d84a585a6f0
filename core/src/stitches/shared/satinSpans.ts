import { fieldRows, type DirectionField, type Region } from '../../geometry/index.ts';
import type { StitchContext } from '../kind.ts';
import type { MoveSink } from '../moves.ts';
import { fillRows, type RowBlock } from './fillRows.ts';
import { sideBySide } from './rowsAsLines.ts';

/** Fewer rows than this are worked straight through, whatever the school. */
const FEWEST_FROM_MIDDLE = 6;

/** From edge to edge along the direction, back to the first side underneath. */
export function workSatin(
  region: Region,
  { spacingMm, from }: { spacingMm: number; from: 'middle' | 'edge' },
  { angleRad, field }: StitchContext,
  sink: MoveSink,
): void {
  if (field) return workSatinAlong(region, spacingMm, field, sink);
  const { blocks, ux, uy } = fillRows(region, angleRad, spacingMm);
  for (const block of blocks) {
    sink.travel();
    const workRows = (first: number, last: number, step: number): void =>
      writeRows(block, ux, uy, { first, last, step }, sink);
    if (from === 'edge' || block.count < FEWEST_FROM_MIDDLE) {
      workRows(0, block.count, 1);
    } else {
      const middle = block.count >> 1;
      workRows(middle, block.count, 1);
      workRows(middle - 1, -1, -1);
    }
  }
}

function writeRows(
  { rows }: RowBlock,
  ux: number,
  uy: number,
  { first, last, step }: { first: number; last: number; step: number },
  sink: MoveSink,
): void {
  for (let k = first; k !== last; k += step) {
    const u0 = rows[3 * k]!;
    const u1 = rows[3 * k + 1]!;
    const v = rows[3 * k + 2]!;
    sink.stitch();
    sink.up(u0 * ux - v * uy, u0 * uy + v * ux);
    sink.down(u1 * ux - v * uy, u1 * uy + v * ux);
  }
}

/** Straight spans in directions that turn from place to place: each begins on the side where its neighbour did. */
function workSatinAlong(region: Region, spacingMm: number, field: DirectionField, sink: MoveSink): void {
  for (const { points } of sideBySide(fieldRows(region, field, spacingMm, { straight: true }))) {
    sink.travel();
    sink.stitch();
    sink.up(points[0]!, points[1]!);
    sink.down(points.at(-2)!, points.at(-1)!);
  }
}
