import type { StitchShape } from '../../kind.ts';
import type { MoveSink } from '../../moves.ts';
import { forEachRun, type Place } from '../../shared/alongLines.ts';

/** Half of each cross on the way out, the other half over it on the way back: all cross the same way. */
export function workCrossRow(
  { lines }: StitchShape,
  { stitchMm, heightMm }: { stitchMm: number; heightMm: number },
  sink: MoveSink,
): void {
  for (const line of lines) {
    const cells: [from: Place, to: Place][] = [];
    forEachRun([line], stitchMm, 0, ({ stations, place }) => {
      for (let i = 1; i < stations.length; i++) cells.push([place(stations[i - 1]!), place(stations[i]!)]);
    });
    sink.travel();
    cells.forEach(([from, to]) => slant(from, to, heightMm, sink));
    cells.reverse().forEach(([from, to]) => slant(to, from, heightMm, sink));
  }
}

/** From the lower side at one place to the upper side at the other. */
function slant(low: Place, high: Place, heightMm: number, sink: MoveSink): void {
  const half = heightMm / 2;
  sink.stitch();
  sink.up(low.x - low.dy * half, low.y + low.dx * half);
  sink.down(high.x + high.dy * half, high.y - high.dx * half);
}
