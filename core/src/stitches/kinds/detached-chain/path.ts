import { placesOf } from '../../../geometry/index.ts';
import type { StitchContext, StitchShape } from '../../kind.ts';
import type { MoveSink } from '../../moves.ts';
import { workTiedLink } from '../../shared/chainLine.ts';

/** A single loop along the direction, its middle on the spot, tied down by an anchor. */
export function workDetachedChain(
  { spots }: StitchShape,
  { lengthMm, anchorMm }: { lengthMm: number; anchorMm: number },
  { laidMm, angleRad }: StitchContext,
  sink: MoveSink,
): void {
  const [dx, dy] = [Math.cos(angleRad), -Math.sin(angleRad)];
  for (const [px, py] of placesOf(spots)) {
    const [x, y] = [px - (dx * lengthMm) / 2, py - (dy * lengthMm) / 2];
    const foot = { x, y, dx, dy };
    const tip = { x: x + dx * lengthMm, y: y + dy * lengthMm, dx, dy };
    const anchor = { x: tip.x + dx * anchorMm, y: tip.y + dy * anchorMm };
    workTiedLink(foot, tip, anchor, laidMm * 1.6, sink);
  }
}
