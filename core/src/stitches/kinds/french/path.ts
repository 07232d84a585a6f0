import type { StitchContext, StitchShape } from '../../kind.ts';
import type { MoveSink } from '../../moves.ts';

/** One thread of the cloth: where the needle goes down, so that the knot does not fall through. */
const ONE_CLOTH_THREAD_MM = 0.4;

/** Up, the thread wound round the needle, down one thread of the cloth away. */
export function workFrench({ spots }: StitchShape, wraps: number, { coreMm }: StitchContext, sink: MoveSink): void {
  for (let i = 0; i < spots.length; i += 2) {
    const x = spots[i]!;
    const y = spots[i + 1]!;
    sink.travel();
    sink.stitch();
    sink.up(x - ONE_CLOTH_THREAD_MM / 2, y);
    sink.wrap(Math.round(wraps), coreMm);
    sink.down(x + ONE_CLOTH_THREAD_MM / 2, y);
  }
}
