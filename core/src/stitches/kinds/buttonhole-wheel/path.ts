import { placesOf } from '../../../geometry/index.ts';
import type { StitchContext, StitchShape } from '../../kind.ts';
import type { MoveSink } from '../../moves.ts';
import { FIRST_THREAD, SECOND_THREAD } from '../../shared/twoThreads.ts';
/** Around its rim the thread is caught close to each spoke: by this share of the sector. */
const CORNER = 0.2;

/** Spokes out of one middle, the thread caught along the rim; then, if wanted, the rim whipped. */
export function workButtonholeWheel(
  { spots }: StitchShape,
  { radiusMm, spokes, rim }: { radiusMm: number; spokes: number; rim: 'whipped' | 'plain' },
  { laidMm, angleRad }: StitchContext,
  sink: MoveSink,
): void {
  const count = Math.round(spokes);
  const sector = (2 * Math.PI) / count;
  for (const [x, y] of placesOf(spots)) {
    const at = (turn: number, r: number): [number, number] => [
      x + r * Math.cos(angleRad + turn * sector),
      y - r * Math.sin(angleRad + turn * sector),
    ];
    sink.shade(FIRST_THREAD);
    sink.travel();
    for (let k = 0; k < count; k++) {
      sink.stitch();
      sink.up(...at(k, radiusMm));
      sink.via(...at(k + 1 - CORNER, radiusMm));
      sink.via(...at(k + 1, radiusMm));
      sink.via(...at(k + 1, radiusMm * (1 - CORNER)));
      sink.down(...at(k + 1, Math.min(laidMm * 0.5, radiusMm / 4)));
    }
    if (rim !== 'whipped') continue;
    sink.shade(SECOND_THREAD);
    const out = laidMm * 0.5;
    for (let k = 0; k < count; k++) {
      sink.stitch();
      if (k === 0) sink.up(...at(0.3, radiusMm + out));
      else sink.via(...at(k + 0.4, radiusMm + out));
      sink.under(...at(k + 0.55, radiusMm - out));
    }
    sink.down(...at(count + 0.3, radiusMm + out * 0.3));
  }
}
