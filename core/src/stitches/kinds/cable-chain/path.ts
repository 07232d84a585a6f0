import type { StitchContext, StitchShape } from '../../kind.ts';
import type { MoveSink } from '../../moves.ts';
import { forEachRun } from '../../shared/alongLines.ts';
import { loopSides, tieDown } from '../../shared/chainLine.ts';

/** The bar between two links takes this share of the stitch. */
const BAR = 0.34;

/** A bar, the thread wound once round the needle, and a link held like a chain stitch: on to the next bar from inside it. */
export function workCableChain(shape: StitchShape, stitchMm: number, { laidMm }: StitchContext, sink: MoveSink): void {
  forEachRun(shape.lines, stitchMm, 1, ({ stations, place, isFirst, isLast }) => {
    if (isFirst) sink.travel();
    for (let i = 1; i < stations.length; i++) {
      const [from, to] = [place(stations[i - 1]!), place(stations[i]!)];
      const foot = place(stations[i - 1]! + BAR * (stations[i]! - stations[i - 1]!));
      sink.stitch();
      sink.up(from.x, from.y);
      sink.via(foot.x, foot.y);
      sink.wrap(1, laidMm);
      loopSides(foot, to, laidMm, sink);
      sink.down(foot.x, foot.y);
    }
    if (isLast) tieDown(place(stations.at(-1)!), laidMm, sink);
  });
}
