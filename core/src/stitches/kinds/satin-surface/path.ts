import type { SpanFan } from '../../../geometry/index.ts';
import type { StitchContext, StitchShape } from '../../kind.ts';
import type { MoveSink } from '../../moves.ts';
import { spansOf } from '../../shared/satinSpans.ts';

/** Across, and up again on the side where it went down: all but nothing lies behind. */
export function workSatinSurface(shape: StitchShape, spacingMm: number, context: StitchContext, sink: MoveSink): void {
  for (const fan of spansOf(shape.region, context, spacingMm)) {
    sink.travel();
    for (let i = 0; i < fan.length; i += 4) writeSpan(fan, i, i % 8 === 4, sink);
  }
}

function writeSpan(fan: SpanFan, i: number, isBackwards: boolean, sink: MoveSink): void {
  const [from, to] = isBackwards ? [i + 2, i] : [i, i + 2];
  sink.stitch();
  sink.up(fan[from]!, fan[from + 1]!);
  sink.down(fan[to]!, fan[to + 1]!);
}
