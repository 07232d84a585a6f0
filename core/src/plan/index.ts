export { shareCuts, type Cut } from './cuts.ts';
export { withLayer } from './newLayer.ts';
export { countLoads, stopMm, type Loads } from './loads.ts';
export { colourNeeds, needleRuns, type ColourNeed, type NeedleLoad } from './needs.ts';
export {
  drawNeeds,
  needOdds,
  quantile,
  risingFactors,
  shareWithin,
  USUAL_SPREAD,
  type Odds,
  type ThreadSpread,
} from './odds.ts';
export { onTheNeedle, type NeedleAnswer } from './onTheNeedle.ts';
export { shadeParts } from './ladderPass.ts';
export { PassWorker, sumUp, workSettings, type Plan } from './planPiece.ts';
export { canWork, isSmallRound, rolesOn } from './layers.ts';
export {
  passesAsWorked,
  planPass,
  threadFactor,
  USUAL_HAND,
  type OwnHand,
  type PlannedPart,
  type PlannedPass,
  type SettledPass,
  type WorkedThread,
  type WorkSettings,
} from './planPass.ts';
export { shadeNeeds, type ShadeNeed } from './shadeNeeds.ts';
export { colourName, shadesOf, usesColour } from './workedColours.ts';
