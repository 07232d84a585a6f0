import { lengthsOf, placeOn, wayRound } from '../../../geometry/index.ts';
import type { StitchContext, StitchShape } from '../../kind.ts';
import type { MoveSink } from '../../moves.ts';
import { workTiedLink } from '../../shared/chainLine.ts';
import { rowsAsLines } from '../../shared/rowsAsLines.ts';

/** Single loops along rows, each tied down; every second row begins half a loop later. */
export function workDetachedChainFill(
  { region }: StitchShape,
  { lengthMm, anchorMm, rowMm }: { lengthMm: number; anchorMm: number; rowMm: number },
  context: StitchContext,
  sink: MoveSink,
): void {
  const pitch = lengthMm + anchorMm * 0.6;
  rowsAsLines(region, context, rowMm).lines.forEach(({ points, closed }, row) => {
    const way = closed ? wayRound(points) : points;
    const lengths = lengthsOf(way);
    const room = lengths.at(-1)!;
    const count = Math.floor((room - lengthMm - anchorMm) / pitch + 1);
    const spare = room - (count - 1) * pitch - lengthMm - anchorMm;
    const first = count < 2 ? Math.max(0, spare / 2) : spare * (row % 2 === 0 ? 0.25 : 0.75);
    for (let i = 0; i < count; i++) {
      const at = first + i * pitch;
      const [x0, y0] = placeOn(way, lengths, at);
      const [x1, y1] = placeOn(way, lengths, at + lengthMm);
      const [x2, y2] = placeOn(way, lengths, at + lengthMm + anchorMm);
      const [dx, dy] = [(x1 - x0) / lengthMm, (y1 - y0) / lengthMm];
      const [foot, tip] = [
        { x: x0, y: y0, dx, dy },
        { x: x1, y: y1, dx, dy },
      ];
      workTiedLink(foot, tip, { x: x2, y: y2 }, context.laidMm * 1.5, sink);
    }
  });
}
