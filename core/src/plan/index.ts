export { shareCuts } from './cuts.ts';
export { countLoads, type Loads } from './loads.ts';
export { cutOdds, type Odds } from './odds.ts';
export {
  colourName,
  PassWorker,
  sumUp,
  workSettings,
  type ColourNeed,
  type Plan,
  type PlannedPart,
} from './planPiece.ts';
export {
  canWork,
  isSmallRound,
  passesAsWorked,
  planPass,
  type PlannedPass,
  type SettledPass,
  type WorkSettings,
} from './planPass.ts';
