import type { StitchContext, StitchShape } from '../../kind.ts';
import type { MoveSink } from '../../moves.ts';
import { forEachRun } from '../../shared/alongLines.ts';

/** The needle goes down so far inside the end of the last stitch that it parts its strands, in laid widths. */
const INTO_LAST = 0.35;

/** Back stitches, each taken down into the end of the last. */
export function workSplitBack(shape: StitchShape, stitchMm: number, { laidMm }: StitchContext, sink: MoveSink): void {
  const into = Math.min(INTO_LAST * laidMm, stitchMm / 4);
  forEachRun(shape.lines, stitchMm - into, 1, ({ stations, place, isFirst }) => {
    if (isFirst) sink.travel();
    for (let i = 1; i < stations.length; i++) {
      const end = place(stations[i]!);
      const start = place(Math.max(0, stations[i - 1]! - (i > 1 ? into : 0)));
      sink.stitch();
      sink.up(end.x, end.y);
      sink.down(start.x, start.y);
    }
  });
}
