import type { StitchShape } from '../../kind.ts';
import type { MoveSink } from '../../moves.ts';
import type { ParamsOf } from '../../params.ts';
import type { params } from './params.ts';
import { forEachRun, type Place } from '../../shared/alongLines.ts';

/** The corner where the thread is caught is drawn by points this far to either side of it, as a share of the way. */
const CORNER = 0.22;

/** Upright stitches, the thread caught along the line as an edge. The uprights stand to the left of the line, or to its right. */
export function workButtonhole(
  shape: StitchShape,
  { pitchMm, heightMm, stepMm, stepCount, side }: ParamsOf<typeof params>,
  sink: MoveSink,
): void {
  const way = side === 'inside' ? 1 : -1;
  let count = 0;
  forEachRun(shape.lines, pitchMm, 1, ({ stations, place, isFirst, isLast }) => {
    if (isFirst) sink.travel();
    for (let i = 1; i < stations.length; i++) {
      const height = heightMm + (Math.floor(count++ / stepCount) % 2 === 0 ? 0 : stepMm);
      catchEdge(place(stations[i - 1]!), place(stations[i]!), way * height, sink);
    }
    if (!isLast) return;
    const end = place(stations.at(-1)!);
    sink.stitch();
    sink.up(end.x, end.y);
    sink.down(end.x + end.dx * pitchMm * 0.3, end.y + end.dy * pitchMm * 0.3);
  });
}

/** From the last place on the edge along it to the next, and up the upright there. */
function catchEdge(from: Place, to: Place, height: number, sink: MoveSink): void {
  const [topX, topY] = [to.x + to.dy * height, to.y - to.dx * height];
  const between = (share: number, ax: number, ay: number, bx: number, by: number): void =>
    sink.via(ax + share * (bx - ax), ay + share * (by - ay));
  sink.stitch();
  sink.up(from.x, from.y);
  between(1 - CORNER, from.x, from.y, to.x, to.y);
  sink.via(to.x, to.y);
  between(CORNER, to.x, to.y, topX, topY);
  sink.down(topX, topY);
}
