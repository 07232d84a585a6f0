import { seededRandom } from '../../../measure/index.ts';
import { isInside } from '../../../geometry/index.ts';
import type { StitchContext, StitchShape } from '../../kind.ts';
import type { MoveSink } from '../../moves.ts';
import { scatterEvenly } from '../../shared/scatter.ts';

/** How often a seed that would cross the edge is turned before it is left out. */
const TURNS = 6;
/** How far a seed leans from its direction, radians. */
const LEANING_RAD = 0.3;

/** Short stitches any which way, evenly scattered, in bands so that the thread goes a short way behind. */
export function workSeed(
  { region }: StitchShape,
  { stitchMm, densityPerCm2, lie }: { stitchMm: number; densityPerCm2: number; lie: 'any' | 'direction' },
  { seed, angleRad, field }: StitchContext,
  sink: MoveSink,
): void {
  const random = seededRandom(seed);
  const half = stitchMm / 2;
  for (const [x, y] of scatterEvenly(region, densityPerCm2, random)) {
    for (let turn = 0; turn < TURNS; turn++) {
      const about = lie === 'any' ? 0 : (field?.angleAt(x, y) ?? angleRad);
      const spread = lie === 'any' ? Math.PI : LEANING_RAD;
      const angle = about + random.between(-spread, spread);
      const dx = half * Math.cos(angle);
      const dy = half * Math.sin(-angle);
      if (!isInside(region, x - dx, y - dy) || !isInside(region, x + dx, y + dy)) continue;
      sink.travel();
      sink.stitch();
      sink.up(x - dx, y - dy);
      sink.down(x + dx, y + dy);
      break;
    }
  }
}
