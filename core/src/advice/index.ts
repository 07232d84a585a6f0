export type { Finding, FindingId, FindingStep, Severity } from './finding.ts';
export { remediesFor, type Remedy } from './remedies.ts';
export { FINDINGS } from './findings/index.ts';
export { figuresKey, isAccepted, sayFinding, severityOf, stepOf, whyOf } from './judge.ts';
export { ownedFindings } from './findings/owned.ts';
export { recordFindings } from './findings/record.ts';
export { colourPairs, judgePairs, shortfall, wornColours, type ColourPair, type JudgedPair } from './colourPairs.ts';
export { mendPair, substitutes, varyPalette, type Recolouring, type Substitute, type Variation } from './recolour.ts';
export { Planner, type PlanWays, type Workings } from './planner.ts';
export {
  atLevelAlone,
  choiceOfLevel,
  planLevels,
  richVersion,
  simpleVersion,
  withinHours,
  type LevelChoice,
  type LevelPlans,
  type Version,
  type VersionWays,
  type WithinHours,
} from './versions.ts';
export { shadesOwned, type OwnedShade } from './ownedShades.ts';
export { STAGES } from './stages.ts';
export { inHoop, tryHoop, type HoopTrial } from './hoopTrials.ts';
export type { NarrowPlace } from './closeness.ts';
export { THRESHOLDS } from './thresholds.ts';
export { tryFlat, tryPainted, type PaintWay, type TriedPaintWay } from './paintWays.ts';
