import type { StitchContext, StitchShape } from '../../kind.ts';
import type { MoveSink } from '../../moves.ts';
import { forEachRun } from '../../shared/alongLines.ts';

/** The needle takes up this much cloth across the line for each knot, in laid widths. */
const PICKED_UP = 0.8;

/**
 * The thread lies along the line. At each interval the needle takes up a little cloth across the line, below the laid thread, and goes over the loop: one
 * dip, down and up again, holds each knot; the last is tied down.
 */
export function workCoral(shape: StitchShape, knotMm: number, { laidMm }: StitchContext, sink: MoveSink): void {
  const reach = (PICKED_UP * laidMm) / 2;
  forEachRun(shape.lines, knotMm, 1, ({ stations, place, isFirst }) => {
    if (isFirst) sink.travel();
    let from: [x: number, y: number] = [place(stations[0]!).x, place(stations[0]!).y];
    for (let i = 1; i < stations.length; i++) {
      const knot = place(stations[i]!);
      sink.stitch();
      sink.up(...from);
      sink.via(knot.x, knot.y);
      sink.wrap(1, laidMm);
      sink.down(knot.x - knot.dy * reach, knot.y + knot.dx * reach);
      from = [knot.x + knot.dy * reach, knot.y - knot.dx * reach];
    }
    const last = place(stations.at(-1)!);
    sink.up(...from);
    sink.down(last.x, last.y);
  });
}
