import type { StitchContext, StitchShape } from '../../kind.ts';
import type { MoveSink } from '../../moves.ts';
import { forEachRun } from '../../shared/alongLines.ts';

/** The needle takes up this much cloth across the line for each knot, in laid widths. */
const PICKED_UP = 0.8;

/** The thread lies along the line; at each interval a small knot is worked across it. */
export function workCoral(shape: StitchShape, knotMm: number, { laidMm }: StitchContext, sink: MoveSink): void {
  const reach = (PICKED_UP * laidMm) / 2;
  forEachRun(shape.lines, knotMm, 1, ({ stations, place, isFirst }) => {
    if (isFirst) sink.travel();
    for (let i = 1; i < stations.length; i++) {
      const [from, to] = [place(stations[i - 1]!), place(stations[i]!)];
      sink.stitch();
      sink.up(from.x, from.y);
      sink.down(to.x, to.y);
      sink.up(to.x - to.dy * reach, to.y + to.dx * reach);
      sink.wrap(1, laidMm);
      sink.down(to.x + to.dy * reach, to.y - to.dx * reach);
    }
  });
}
