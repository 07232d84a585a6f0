import { rank } from 'd3-array';
import { placeOn, lengthsOf, type Place, type Polyline } from '../../geometry/index.ts';
import type { StitchContext, StitchShape } from '../kind.ts';
import type { MoveSink } from '../moves.ts';
import { keepsOf, shadesOf } from './shading.ts';

/**
 * Works rows shade by shade, each row whole in one: where borders are drawn, by how many lie between it and the first row; else in equal shares of the
 * way across them, or inward, or in the order of working where they turn.
 * @param work works some of the rows
 */
export function workRowsInShades(
  rows: StitchShape,
  context: StitchContext,
  sink: MoveSink,
  work: (rows: StitchShape) => void,
): void {
  const shadeAt = shadesOf(context);
  const { lines } = rows;
  if (!shadeAt || lines.length === 0) return work(rows);
  const middles = lines.map(middleOf);
  const shares = sharesAcross(middles, context);
  const first = middles[shares.indexOf(Math.min(...shares))]!;
  const start = { x: first[0], y: first[1] };
  const shadeOfRow = middles.map(([x, y], i) => shadeAt(x, y, Math.min(shares[i]!, 1 - 1e-9), start));
  const keeps = keepsOf(context);
  const across = rank(shares);
  for (const shade of [...new Set(shadeOfRow)].sort((a, b) => a - b)) {
    sink.shade(shade);
    const isWorked = (i: number): boolean => shadeOfRow[i] === shade && (!keeps || keeps(across[i]!, shade));
    work({ ...rows, lines: lines.filter((_, i) => isWorked(i)) });
  }
}

/** How far along the filling each row lies, 0 for the first to 1 for the last. */
function sharesAcross(middles: readonly Place[], { angleRad, field, followsOutline }: StitchContext): number[] {
  const across = ([x, y]: Place): number => x * Math.sin(angleRad) + y * Math.cos(angleRad);
  const places = field || followsOutline ? middles.map((_, i) => i) : middles.map(across);
  const [least, most] = [Math.min(...places), Math.max(...places)];
  return places.map((place) => (most > least ? (place - least) / (most - least) : 0));
}

function middleOf({ points }: Polyline): Place {
  const lengths = lengthsOf(points);
  return placeOn(points, lengths, (lengths.at(-1) ?? 0) / 2);
}
