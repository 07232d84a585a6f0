import type { PlanInput } from '../piece/index.ts';
import type { Plan } from '../thread/index.ts';
import { isRaised } from '../work/index.ts';
import { clearInHoopMm, pointsOf, positionsOf } from '../drawing/index.ts';
import { AIR_MM, WARP_LIMIT, warpOf } from '../materials/index.ts';
import { crushedParts } from '../order/index.ts';
import { hundredths, type Finding } from './finding.ts';
import { THRESHOLDS } from './thresholds.ts';

/** How the design lies on the grain and in the hoop, and what the ring does to it. */
export function hoopFindings(piece: PlanInput, plan: Plan): Finding[] {
  const { hoop, design } = plan;
  const found: Finding[] = [];
  const offDeg = hundredths(Math.abs(((piece.placement.turnDeg + 45) % 90) - 45));
  if (offDeg > THRESHOLDS.offGrainDeg.least && offDeg < THRESHOLDS.offGrainDeg.most) {
    found.push({ id: 'grain', part: null, figures: { offDeg } });
  }
  if (!hoop || !piece.hoop || !design.circle) return found;
  if (piece.hoop.warp) {
    const share = hundredths(100 * warpOf(piece.hoop.warp));
    const { uprightMm, acrossMm } = piece.hoop.warp;
    if (Math.abs(share) > 100 * WARP_LIMIT)
      found.push({ id: 'warp', part: null, figures: { share, uprightMm, acrossMm } });
  }
  for (const { partId, workedIn, crushedBy } of crushedParts(plan.order, plan.parts, piece.hoop, piece.positions)) {
    found.push({ id: 'crushed', part: partId, figures: { workedIn, crushedBy } });
  }
  const clearMm = hundredths(hoop.clearMm);
  const wantedMm = Math.min(AIR_MM.least, piece.hoop.airMm);
  if (clearMm < 0) {
    found.unshift({ id: 'outside-hoop', part: null, figures: { overMm: -clearMm, innerMm: hoop.innerMm } });
  } else if (clearMm < wantedMm - 0.05) {
    found.unshift({ id: 'near-ring', part: null, figures: { clearMm, wantedMm } });
  } else found.unshift(...raisedNearRing(piece, plan));
  return found;
}

/** Raised work wants more air than flat work. */
function raisedNearRing(piece: PlanInput, plan: Plan): Finding[] {
  const raised = plan.parts.filter(isRaised);
  const clearMm = hundredths(
    clearInHoopMm(
      raised.flatMap(({ placed }) => [...pointsOf(placed.shape)]),
      piece.hoop!,
      positionsOf(piece),
    ),
  );
  const wantedMm = Math.min(AIR_MM.raised, piece.hoop!.airMm + AIR_MM.raised - AIR_MM.usual);
  if (raised.length === 0 || clearMm >= wantedMm - 0.05) return [];
  return [{ id: 'near-ring', part: null, figures: { clearMm, wantedMm, raised: 1 } }];
}
