import type { StitchContext, StitchShape } from '../../kind.ts';
import type { MoveSink } from '../../moves.ts';
import { FIRST_THREAD, SECOND_THREAD } from '../../shared/twoThreads.ts';
import { workBack } from '../../shared/backLine.ts';
import { chordOf, forEachRun, type SteppedRun } from '../../shared/alongLines.ts';

/** Below the line the lacing thread turns this far out, and dives under a stitch so far from its middle, in laid widths. */
const BELOW = 0.8;
const DIVES = 0.42;
/** Where under a stitch the thread goes up, and where it comes down, as shares of the stitch. */
const GOES_UP = 0.3;
const COMES_DOWN = 0.7;

/** Back stitch, then a second thread laced through it: up under the next stitch but one, back, and down under the one between. */
export function workPekingese(
  shape: StitchShape,
  { stitchMm, loopMm }: { stitchMm: number; loopMm: number },
  context: StitchContext,
  sink: MoveSink,
): void {
  const { laidMm } = context;
  sink.shade(FIRST_THREAD);
  workBack(shape, stitchMm, context, sink);
  sink.shade(SECOND_THREAD);
  const below = BELOW * laidMm;
  const dive = DIVES * laidMm;
  const lace = ({ stations, place }: SteppedRun): void => {
    if (stations.length < 3) return;
    const at = (stitch: number, share: number, out: number): [number, number] => {
      const { x, y, dx, dy } = place(stations[stitch]! + share * (stations[stitch + 1]! - stations[stitch]!));
      return [x - dy * out, y + dx * out];
    };
    const last = stations.length - 2;
    sink.travel();
    for (let k = 0; k < last; k++) {
      sink.stitch();
      if (k === 0) sink.up(...at(0, COMES_DOWN, below));
      sink.via(...at(k, 1, below));
      sink.via(...at(k + 1, GOES_UP - 0.1, dive));
      sink.under(...at(k + 1, GOES_UP, -dive));
      sink.via(...at(k + 1, GOES_UP - 0.04, -loopMm));
      sink.via(...at(k + 1, 0.06, -loopMm - below * 0.5));
      sink.via(...at(k, COMES_DOWN + 0.2, -loopMm - below * 0.4));
      sink.via(...at(k, COMES_DOWN + 0.05, -loopMm * 0.8));
      sink.via(...at(k, COMES_DOWN, -dive));
      sink.under(...at(k, COMES_DOWN + 0.03, dive));
    }
    sink.down(...at(last, 1, below));
  };
  forEachRun(shape.lines, stitchMm, 1, lace, chordOf(laidMm));
}
