export type { Finding, FindingId, FindingStep, Severity } from './finding.ts';
export { FINDINGS } from './findings/index.ts';
export {
  figuresKey,
  isAccepted,
  remediesFor,
  sayFinding,
  severityOf,
  stepOf,
  whyOf,
  type Remedy,
} from './judge.ts';
export { ownedFindings } from './findings/owned.ts';
export { colourPairs, judgePairs, shortfall, wornColours, type ColourPair, type JudgedPair } from './colourPairs.ts';
export { mendPair, substitutes, varyPalette, type Recolouring, type Substitute, type Variation } from './recolour.ts';
export { Planner, type Workings } from './planner.ts';
export { inHoop, tryHoop, type HoopTrial } from './hoopTrials.ts';
export { tooClose, type TooClose } from './closeness.ts';
export { THRESHOLDS } from './thresholds.ts';
