import type { StitchContext, StitchShape } from '../kind.ts';
import type { MoveSink } from '../moves.ts';
import { chordOf, forEachRun, type Place, type SteppedRun } from './alongLines.ts';

/** The needle comes up this far beside the line, in laid widths, and goes down as far on the other side. */
const BESIDE = 0.22;

/** Forward a stitch, up at half of it beside the thread: front s, behind s/2, and s/2 won. */
export function workStem(
  shape: StitchShape,
  { stitchMm, side }: { stitchMm: number; side: 'left' | 'right' },
  { laidMm }: StitchContext,
  sink: MoveSink,
): void {
  const aside = (side === 'right' ? 1 : -1) * BESIDE * laidMm;
  const beside = ({ x, y, dx, dy }: Place, way: number): [number, number] => [
    x - dy * way * aside,
    y + dx * way * aside,
  ];
  const work = ({ stations, place, isFirst }: SteppedRun): void => {
    if (isFirst) sink.travel();
    const last = stations.length - 1;
    for (let i = 0; i < Math.max(1, last - 1); i++) {
      sink.stitch();
      sink.up(...beside(place(stations[i]!), 1));
      sink.down(...beside(place(stations[Math.min(i + 2, last)]!), -1));
    }
  };
  forEachRun(shape.lines, stitchMm / 2, 2, work, chordOf(laidMm));
}
