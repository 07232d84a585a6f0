import type { StitchContext, StitchShape } from '../../kind.ts';
import type { MoveSink } from '../../moves.ts';
import { CrossedRows, straightRowsOf, type StraightRows } from '../../shared/crossedRows.ts';
import { FIRST_THREAD, SECOND_THREAD } from '../../shared/twoThreads.ts';

/** A tie reaches this far from the crossing, in laid widths. */
const TIE_REACH = 0.9;

/** Threads laid in two directions, then a small slanting stitch over each crossing. */
export function workLatticeFill(
  { region }: StitchShape,
  { squareMm }: { squareMm: number },
  { laidMm, heightMm, angleRad }: StitchContext,
  sink: MoveSink,
): void {
  const first = straightRowsOf(region, angleRad, squareMm);
  const second = straightRowsOf(region, angleRad - Math.PI / 2, squareMm);
  sink.shade(FIRST_THREAD);
  lay(first, sink);
  sink.lift(heightMm);
  lay(second, sink);
  sink.lift(2 * heightMm);
  sink.shade(SECOND_THREAD);
  const crossed = new CrossedRows(first.rows);
  const reach = TIE_REACH * laidMm;
  second.rows.forEach(({ from, to, at }, k) => {
    const [begin, end] = k % 2 === 0 ? [from, to] : [to, from];
    for (const { at: across } of crossed.between(-at, begin, end)) {
      sink.travel();
      sink.stitch();
      sink.up(...second.toCloth(across - reach, at - reach));
      sink.down(...second.toCloth(across + reach, at + reach));
    }
  });
  sink.lift(0);
}

function lay({ rows, toCloth }: StraightRows, sink: MoveSink): void {
  rows.forEach(({ from, to, at }, k) => {
    const [begin, end] = k % 2 === 0 ? [from, to] : [to, from];
    sink.travel();
    sink.stitch();
    sink.up(...toCloth(begin, at));
    sink.down(...toCloth(end, at));
  });
}
