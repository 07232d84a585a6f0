export { figuresKey, findAll, isAccepted, remediesFor, type Finding, type FindingId, type Remedy } from './findings.ts';
export { Planner, type Workings } from './planner.ts';
export type { Proposal } from './proposals.ts';
export { sayFinding, SENTENCES, severityOf, type Severity } from './sentences.ts';
export { inHoop, tryHoop, type HoopTrial } from './hoopTrials.ts';
export { rankWays, showsOn, type WayAdvice } from './ways.ts';
export { tooClose, type TooClose } from './closeness.ts';
