import type { StitchContext, StitchShape } from '../../kind.ts';
import type { MoveSink } from '../../moves.ts';
import { forEachRun } from '../../shared/alongLines.ts';

/** Over and over a line: across it in front, back below the cloth. */
export function workOvercast(
  shape: StitchShape,
  { pitchMm, heightMm, side }: { pitchMm: number; heightMm: number; side: 'middle' | 'inside' },
  _context: StitchContext,
  sink: MoveSink,
): void {
  const [near, far] = side === 'middle' ? [-heightMm / 2, heightMm / 2] : [0, heightMm];
  forEachRun(shape.lines, pitchMm, 1, ({ stations, place, isFirst }) => {
    if (isFirst) sink.travel();
    for (let i = 0; i + 1 < stations.length; i++) {
      const { x, y, dx, dy } = place((stations[i]! + stations[i + 1]!) / 2);
      sink.stitch();
      sink.up(x + dy * near, y - dx * near);
      sink.down(x + dy * far, y - dx * far);
    }
  });
}
