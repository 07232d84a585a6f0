import type { StitchContext, StitchShape } from '../kind.ts';
import type { MoveSink } from '../moves.ts';
import { chordOf, forEachRun, type SteppedRun } from './alongLines.ts';
import { SPLIT_ADVANCE, splitEnd } from './splitSteps.ts';

/**
 * Forward a stitch, up through the last third of it, forward again.
 * @param stagger whether lines are rows side by side, of which every second begins with half a step
 */
export function workSplit(
  shape: StitchShape,
  stitchMm: number,
  { laidMm }: StitchContext,
  sink: MoveSink,
  { stagger = false } = {},
): void {
  let row = 0;
  const work = ({ stations, place, isFirst }: SteppedRun): void => {
    if (isFirst) {
      sink.travel();
      row++;
    }
    const steps = stagger && row % 2 === 1 ? halfAStepOn(stations) : stations;
    for (let i = 0; i + 1 < steps.length; i++) {
      const start = place(steps[i]!);
      const end = place(splitEnd(steps, i));
      sink.stitch();
      sink.up(start.x, start.y);
      sink.down(end.x, end.y);
    }
  };
  forEachRun(shape.lines, stitchMm * SPLIT_ADVANCE, 1 / SPLIT_ADVANCE, work, chordOf(laidMm));
}

/** The same line begun with half a step, so that its stitches end between those of its neighbours. */
function halfAStepOn(stations: Float64Array): Float64Array {
  const count = stations.length;
  if (count < 3) return stations;
  return Float64Array.from({ length: count + 1 }, (_, i) => {
    if (i === 0) return stations[0]!;
    return i === count ? stations[count - 1]! : (stations[i - 1]! + stations[i]!) / 2;
  });
}
