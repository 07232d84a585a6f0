import type { StitchContext, StitchShape } from '../../kind.ts';
import type { MoveSink } from '../../moves.ts';
import { FIRST_THREAD, SECOND_THREAD } from '../../shared/twoThreads.ts';
import { forEachRun, type Place } from '../../shared/alongLines.ts';
import { layAlong, TIE_REACH, tieAcross } from '../../shared/layAlong.ts';

/** A thread laid along the whole line, then tied down at intervals by small stitches across it. */
export function workCouching(
  shape: StitchShape,
  tieMm: number,
  { laidMm, heightMm }: StitchContext,
  sink: MoveSink,
): void {
  for (const line of shape.lines) {
    sink.shade(FIRST_THREAD);
    if (!layAlong(line, sink)) continue;
    const ties: Place[] = [];
    forEachRun([line], tieMm, 1, ({ stations, place }) => {
      for (let i = 1; i < stations.length; i++) ties.push(place((stations[i - 1]! + stations[i]!) / 2));
    });
    sink.lift(heightMm);
    sink.shade(SECOND_THREAD);
    ties.reverse().forEach((tie) => tieAcross(tie, TIE_REACH * laidMm, sink));
    sink.lift(0);
  }
}
