import type { StitchContext, StitchShape } from '../kind.ts';
import type { MoveSink } from '../moves.ts';
import { chordOf, forEachRun, type SteppedRun } from './alongLines.ts';

/** Up one stitch ahead, down at the end of the last: front s, behind 2s, and s won. */
export function workBack(shape: StitchShape, stitchMm: number, { laidMm }: StitchContext, sink: MoveSink): void {
  const work = ({ stations, place, isFirst }: SteppedRun): void => {
    if (isFirst) sink.travel();
    for (let i = 1; i < stations.length; i++) {
      const end = place(stations[i]!);
      const start = place(stations[i - 1]!);
      sink.stitch();
      sink.up(end.x, end.y);
      sink.down(start.x, start.y);
    }
  };
  forEachRun(shape.lines, stitchMm, 1, work, chordOf(laidMm));
}
