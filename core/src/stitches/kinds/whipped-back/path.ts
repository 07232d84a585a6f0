import type { StitchContext, StitchShape } from '../../kind.ts';
import type { MoveSink } from '../../moves.ts';
import { FIRST_THREAD, SECOND_THREAD } from '../../shared/twoThreads.ts';
import { workBack } from '../../shared/backLine.ts';
import { chordOf, forEachRun, type Place, type SteppedRun } from '../../shared/alongLines.ts';

/** The whipping thread lies this far beside the line where it goes under a stitch, in laid widths. */
const BESIDE = 0.5;
/** Where it begins and ends it lies almost on the line, in laid widths. */
const AT_ENDS = 0.12;

/** Back stitch, then a second thread wound round it: over the line and under each stitch, never through the cloth. */
export function workWhippedBack(shape: StitchShape, stitchMm: number, context: StitchContext, sink: MoveSink): void {
  const { laidMm } = context;
  sink.shade(FIRST_THREAD);
  workBack(shape, stitchMm, context, sink);
  sink.shade(SECOND_THREAD);
  const beside = ({ x, y, dx, dy }: Place, out: number): [number, number] => [
    x - dy * out * laidMm,
    y + dx * out * laidMm,
  ];
  const whip = ({ stations, place }: SteppedRun): void => {
    const start = place(stations[0]!);
    sink.travel();
    for (let i = 1; i < stations.length; i++) {
      const middle = place((stations[i - 1]! + stations[i]!) / 2);
      sink.stitch();
      if (i === 1) sink.up(...beside(start, AT_ENDS));
      sink.via(...beside(middle, BESIDE));
      sink.under(...beside(middle, -BESIDE));
    }
    sink.down(...beside(place(stations.at(-1)!), AT_ENDS));
  };
  forEachRun(shape.lines, stitchMm, 1, whip, chordOf(laidMm));
}
