import type { StitchContext, StitchShape } from '../../kind.ts';
import type { MoveSink } from '../../moves.ts';
import { CrossedRows, straightRowsOf } from '../../shared/crossedRows.ts';
import { FIRST_THREAD, SECOND_THREAD } from '../../shared/twoThreads.ts';

/** How far before and after the thread that it passes it dives and comes out, in laid widths. */
const DIVE = 0.5;

/** Threads laid from edge to edge, then a second thread woven over and under them, from side to side on top of the cloth. */
export function workWovenFill(
  { region }: StitchShape,
  { spacingMm, together }: { spacingMm: number; together: number },
  { laidMm, angleRad }: StitchContext,
  sink: MoveSink,
): void {
  const laid = straightRowsOf(region, angleRad, spacingMm);
  sink.shade(FIRST_THREAD);
  sink.travel();
  laid.rows.forEach(({ from, to, at }, k) => {
    const [begin, end] = k % 2 === 0 ? [from, to] : [to, from];
    sink.stitch();
    sink.up(...laid.toCloth(begin, at));
    sink.down(...laid.toCloth(end, at));
  });
  // In the frame of the laid threads the woven ones run across: along is minus their own place, across is along them.
  const woven = straightRowsOf(region, angleRad - Math.PI / 2, spacingMm);
  const crossed = new CrossedRows(laid.rows);
  const group = Math.round(together);
  sink.shade(SECOND_THREAD);
  sink.travel();
  woven.rows.forEach(({ from, to, at }, k) => {
    const [begin, end] = k % 2 === 0 ? [from, to] : [to, from];
    const way = Math.sign(end - begin);
    const shift = Math.floor(k / group);
    sink.stitch();
    sink.up(...woven.toCloth(begin, at));
    for (const { at: across, rank } of crossed.between(-at, begin, end)) {
      const isUnder = (Math.floor(rank / group) + shift) % 2 === 1;
      if (!isUnder) sink.via(...woven.toCloth(across, at));
      else {
        sink.via(...woven.toCloth(across - way * DIVE * laidMm, at));
        sink.under(...woven.toCloth(across + way * DIVE * laidMm, at));
      }
    }
    sink.down(...woven.toCloth(end, at));
  });
}
