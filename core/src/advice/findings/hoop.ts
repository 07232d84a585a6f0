import {
  freeOrder,
  LET_PLANNER_ORDER,
  mergeEdits,
  NOTHING_FIXED,
  plainPass,
  type Pass,
  type PlanInput,
  type Piece,
  setPositions,
  setHoop,
} from '../../piece/index.ts';
import { hoopMoves, type Plan } from '../../thread/index.ts';
import { stitchKind } from '../../stitches/index.ts';
import { isRaised, passesAsWorked, type PlannedPart } from '../../work/index.ts';
import {
  centred,
  clearInHoopMm,
  hoopAboutAll,
  pointsOf,
  positionsOf,
  fitToHoop,
  onTheGrain,
} from '../../drawing/index.ts';
import { AIR_MM, HOOP_SIZES_MM, hoopNeeds, innerDiameterMm, WARP_LIMIT, warpOf } from '../../materials/index.ts';
import type { Memory } from '../../measure/index.ts';
import { crushedParts, findPositions, orderOfWork, orderPositions } from '../../order/index.ts';
import {
  hundredths,
  type Finding,
  type Case,
  type PartCase,
  type Offer,
  type FindingKinds,
  type FindingRemedies,
} from '../finding.ts';
import { THRESHOLDS } from '../thresholds.ts';
import { changePasses, onPart } from './onParts.ts';
import * as say from '../words.ts';

/** How the design lies on the grain and in the hoop, and what the ring does to it. */
export function hoopFindings(piece: PlanInput, plan: Plan, memory: Memory): Finding[] {
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
  const crushed = crushedParts(plan.order, plan.parts, piece.hoop, piece.positions, memory);
  for (const { partId, workedIn, crushedBy } of crushed) {
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

/** Raised work may come nearer to the ring than it likes by as much as a thread is thick, mm. */
const RAISED_PLAY_MM = 0.5;

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
  if (raised.length === 0 || clearMm >= wantedMm - RAISED_PLAY_MM) return [];
  return [{ id: 'near-ring', part: null, figures: { clearMm, wantedMm, raised: 1 } }];
}

function inAnotherOrder({ piece, plan }: Case<'crushed'>): Offer[] {
  const { hoop } = piece;
  if (!hoop) return [];
  const crushed = (positions: Piece['positions'], order: Piece['order']): number => {
    const { steps } = orderOfWork({ ...piece, positions, order }, plan.parts);
    return crushedParts(steps, plan.parts, hoop, positions).length;
  };
  const now = crushedParts(plan.order, plan.parts, hoop, piece.positions).length;
  const better = orderPositions(plan.parts, hoop, piece.positions);
  const offers: Offer[] = [];
  if (plan.rules.broken.length > 0 && crushed(piece.positions, NOTHING_FIXED) < now) {
    offers.push([LET_PLANNER_ORDER, freeOrder(piece)]);
  }
  if (crushed(better, piece.order) < now) {
    offers.push(['Move the hoop in another order', setPositions(piece, better, 'Reorder the hoop positions')]);
  }
  return offers;
}

/** A hoop in which all of the design lies at once, at its own size, where one is sold. */
export function inLargerHoop({ piece, plan }: Pick<Case, 'piece' | 'plan'>): Offer[] {
  const { circle } = plan.design;
  const { hoop } = piece;
  if (!hoop || !circle || piece.positions.length < 2) return [];
  const nominalMm = HOOP_SIZES_MM.find(
    (size) => size > hoop.nominalMm && innerDiameterMm(size) / 2 >= circle.r + hoop.airMm,
  );
  if (nominalMm === undefined) return [];
  const larger = { ...hoop, nominalMm, shortMm: null, warp: null };
  const { clothAcrossMm } = hoopNeeds(larger);
  const inOne = setHoop(piece, larger, centred(piece.placement, circle, 1), 'Use a larger hoop');
  const whole = setPositions(piece, [], 'Use a larger hoop');
  if (!inOne || !whole) return [];
  const moves = hoopMoves(plan.order);
  return [[say.largerHoop(nominalMm, clothAcrossMm, moves), mergeEdits(inOne, whole)]];
}

const FLAT_STITCH = 'Use a flat stitch instead';

/** Wider than this an area is worked flat in long-and-short, mm. */
const SATIN_UP_TO_MM = 7;

/** What stands up is worked flat: without padding, each raised layer in a stitch that a ring may lie on. */
function workedFlat(of: PartCase): Offer[] {
  if (of.planned.placed.kind === 'spot') return [];
  const flat = (member: PlannedPart): Pass[] => {
    const isWide = 2 * (member.placed.widest?.r ?? 0) > SATIN_UP_TO_MM;
    const stitch = member.placed.kind === 'line' ? 'stem' : isWide ? 'long-short' : 'satin';
    return passesAsWorked(member)
      .filter(({ role }) => role !== 'padding' && role !== 'accent')
      .map((pass) =>
        stitchKind(pass.stitch).isRaised
          ? { ...plainPass(pass.role === 'filling' ? stitch : 'stem', pass.thread, pass.strands), role: pass.role }
          : pass,
      );
  };
  return [[FLAT_STITCH, changePasses(of, flat, FLAT_STITCH)]];
}

function inPositions({ piece, plan }: Case<'outside-hoop'>): Offer[] {
  const found = piece.hoop && findPositions(plan.parts, piece.hoop);
  if (!found || found.length < 2) return [];
  return [[say.usePositions(found.length), setPositions(piece, found, 'Find hoop positions')]];
}

function fitted({ piece, plan }: Pick<Case, 'piece' | 'plan'>, wantedMm: number): Offer[] {
  // A design that lies in several positions was meant to be larger than its hoop.
  const whole = hoopAboutAll(piece);
  if (!whole || !plan.design.circle) return [];
  const hoop = { ...whole, airMm: Math.max(whole.airMm, wantedMm) };
  const edit = setHoop(piece, hoop, fitToHoop(piece, hoop), 'Fit to the hoop');
  return [[say.fitWithRoom(hoop.airMm), edit]];
}

/** Where each is looked at, and how bad it is. */
export const HOOP_KINDS = {
  'outside-hoop': { step: 'hoop', severity: 'stop' },
  'near-ring': { step: 'hoop', severity: 'warn' },
  grain: { step: 'hoop', severity: 'note' },
  warp: { step: 'hoop', severity: 'warn' },
  crushed: { step: 'hoop', severity: 'warn' },
} satisfies Partial<FindingKinds>;

/** What can be done about each, worked out only when it is asked for. */
export const HOOP_REMEDIES = {
  'outside-hoop': (of) => [...inPositions(of), ...fitted(of, AIR_MM.usual)],
  'near-ring': (of) => fitted(of, of.finding.figures.raised ? AIR_MM.raised : AIR_MM.usual),
  grain: ({ piece }) => [
    ['Straighten it', setHoop(piece, piece.hoop, onTheGrain(piece.placement), 'Straighten the design')],
  ],
  crushed: (of) => [...inAnotherOrder(of), ...inLargerHoop(of), ...onPart(of, workedFlat)],
} satisfies Partial<FindingRemedies>;
