export {
  spreadOf,
  threadFactor,
  USUAL_FACTORS,
  USUAL_SPREAD,
  type OwnFactors,
  type ThreadSpread,
} from './ownFactors.ts';
export { COARSE_PAINTING, CoarseFirst, type CoarsePart } from './coarseFirst.ts';
export { explained } from './explain.ts';
export { wholeWidth, type WholeWidth } from './wholeWidth.ts';
export { stitchSays } from './stitchSays.ts';
export { planPass, WORKED_PASS, type PaintedFrom, type WorkSettings } from './planPass.ts';
export {
  passesAsWorked,
  workedIn,
  type OwnThread,
  type PlannedPart,
  type PlannedPass,
  type WorkedThread,
  isInJourneys,
} from './plannedPart.ts';
export { allowedTravelMm, PassWorker, travelMm, workSettings } from './passWorker.ts';
export { outlineSide } from './outlineRun.ts';
export { isRaised } from './raised.ts';
export { beyondBudget, MOST_STITCHES, roughStitches } from './stitchBudget.ts';
export { stopMm } from './stopMm.ts';
export { workAllIn } from './workAllIn.ts';
export { judgePainted } from './judgePainted.ts';
export { paintInCotton, paintPart } from './paintPart.ts';
export { keepsStitch, shadeParts, takesShades } from './shadeParts.ts';
export { LONGEST_FRONT_RUN, longestFreeRun } from './spans.ts';
export { usesColour } from './usesColour.ts';
export { topmostBelow, laidScraps, WHOLE_REGION, wholeRegion, type Covering, type LaidScrap } from './scraps.ts';
