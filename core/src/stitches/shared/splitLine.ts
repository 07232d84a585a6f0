import type { StitchShape } from '../kind.ts';
import type { MoveSink } from '../moves.ts';
import { forEachRun } from './alongLines.ts';
import { SPLIT_ADVANCE, splitEnd } from './splitSteps.ts';

/** Forward a stitch, up through the last third of it, forward again. */
export function workSplit(shape: StitchShape, stitchMm: number, sink: MoveSink): void {
  forEachRun(shape.lines, stitchMm * SPLIT_ADVANCE, 1 / SPLIT_ADVANCE, ({ stations, place, isFirst }) => {
    if (isFirst) sink.travel();
    for (let i = 0; i + 1 < stations.length; i++) {
      const start = place(stations[i]!);
      const end = place(splitEnd(stations, i));
      sink.stitch();
      sink.up(start.x, start.y);
      sink.down(end.x, end.y);
    }
  });
}
