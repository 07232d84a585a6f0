import { seededRandom } from '../../../measure/index.ts';
import { isInside, type Region, placesOf } from '../../../geometry/index.ts';
import type { StitchContext, StitchShape } from '../../kind.ts';
import type { MoveSink } from '../../moves.ts';
import type { ParamsOf } from '../../params.ts';
import type { params } from './params.ts';
import { scatterEvenly } from '../../shared/scatter.ts';

/** How often a seed that would cross the edge is turned; after that it is moved inward a little and turned again. */
const TURNS = 10;
const MOVES = 10;
/** How far a seed leans from its direction, radians. */
const LEANING_RAD = 0.3;

/** Short stitches any which way, evenly scattered, in bands so that the thread goes a short way behind. */
export function workSeed(
  { region }: StitchShape,
  { stitchMm, densityPerCm2, lie, thinTo }: ParamsOf<typeof params>,
  { seed, angleRad, field }: StitchContext,
  sink: MoveSink,
): void {
  const random = seededRandom(seed);
  const half = stitchMm / 2;
  const isLeft = thinning(region, angleRad, thinTo / 100, seed);
  for (const [x, y] of scatterEvenly(region, densityPerCm2, random)) {
    if (!isLeft(x, y)) continue;
    const about = lie === 'any' ? 0 : (field?.angleAt(x, y) ?? angleRad);
    const spread = lie === 'any' ? Math.PI : LEANING_RAD;
    for (let turn = 0; turn < TURNS * MOVES; turn++) {
      const far = (1.3 * half * Math.floor(turn / TURNS)) / MOVES;
      const aside = random.between(-Math.PI, Math.PI);
      const [mx, my] = [x + far * Math.cos(aside), y + far * Math.sin(aside)];
      const angle = about + random.between(-spread, spread);
      const dx = half * Math.cos(angle);
      const dy = half * Math.sin(-angle);
      if (!isInside(region, mx - dx, my - dy) || !isInside(region, mx + dx, my + dy)) continue;
      sink.travel();
      sink.stitch();
      sink.up(mx - dx, my - dy);
      sink.down(mx + dx, my + dy);
      break;
    }
  }
}

/**
 * Which seeds are left where they thin out along a direction, evenly from all at the near side to a share of them at the far one.
 * @param share of the seeds at the far side, 0–1
 */
function thinning(region: Region, angleRad: number, share: number, seed: number): (x: number, y: number) => boolean {
  if (share >= 1) return () => true;
  // Dice of its own: seeds that stay lie as they would without it.
  const random = seededRandom(seed + 1);
  const along = (x: number, y: number): number => x * Math.cos(angleRad) - y * Math.sin(angleRad);
  let [near, far] = [Infinity, -Infinity];
  for (const ring of region) {
    for (const [x, y] of placesOf(ring)) {
      near = Math.min(near, along(x, y));
      far = Math.max(far, along(x, y));
    }
  }
  return (x, y) => random.next() < 1 - (1 - share) * ((along(x, y) - near) / Math.max(1e-9, far - near));
}
