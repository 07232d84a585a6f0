export { shareCuts } from './cuts.ts';
export { withLayer } from './newLayer.ts';
export { countLoads, type Loads } from './loads.ts';
export { cutOdds, type Odds } from './odds.ts';
export {
  colourName,
  shadesOf,
  PassWorker,
  sumUp,
  USUAL_HAND,
  usesColour,
  workSettings,
  type ColourNeed,
  type Plan,
  type PlannedPart,
} from './planPiece.ts';
export { canWork, isSmallRound, rolesOn } from './layers.ts';
export {
  passesAsWorked,
  planPass,
  type PlannedPass,
  type SettledPass,
  type WorkedThread,
  type WorkSettings,
} from './planPass.ts';
