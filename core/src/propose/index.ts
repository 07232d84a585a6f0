export { tightestBendMm } from './bends.ts';
export { longestSpan } from './direction.ts';
export { canWork, isSmallRound, rolesOn } from './roles.ts';
export { degreesApart, Neighbours, straightFilling, touch } from './neighbours.ts';
export { withNewPass } from './newPass.ts';
export { coveringStrands, proposalsFor, type Proposal } from './proposals.ts';
export { Proposer } from './settle.ts';
export type { SettledPass } from './settled.ts';
export { roomForShades, SPAN_LIMIT_MM, TREATMENT, WORN_USES } from './thresholds.ts';
