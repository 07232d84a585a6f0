export { keepsRules, solve } from './solve.ts';
export { LOST_MM, ORDER_WEIGHTS, Scale, type Problem } from './cost.ts';
export { Needle, Needles, needlesThreaded } from './needlesInPlay.ts';
export {
  drawingOrder,
  orderOfWork,
  problemOf,
  searchOrder,
  SOLVED_ORDER,
  type OrderOfWork,
  type OrderWishes,
} from './orderOfWork.ts';
export { BOUNDS_SHARE, GAP_BETWEEN } from './meeting.ts';
export { PORTIONS, threadOfStep } from './portions.ts';
export { crushedParts, type Crushed } from './positions/crushing.ts';
export { findPositions, worksOf, type HoopPosition } from './positions/findPositions.ts';
export { HOLDING } from './positions/units.ts';
export { orderPositions } from './positions/ordering.ts';
export { RULE_IDS, type RuleId } from './ruleIds.ts';
export { outlinesFirst, type Rule } from './rules.ts';
export { fixedAt, linesOf, standsAgainst, type StepLine } from './places.ts';
export { inTheWay, notKept, type InTheWay } from './inTheWay.ts';
export { becauseOf, type Because } from './because.ts';
export { isTying, needleName, needleOfStep, stepsOf, stitchOfStep, type Step } from './steps.ts';
export { ZONES } from './zones.ts';
export { layingsOf } from './layings.ts';
export { countSteps, numberedAt, numberedSteps, type NumberedLaying, type NumberedStep } from './stepNumbers.ts';
export { nameOfStep, stepKey, type WorkOrder, type WorkStep } from './workOrder.ts';
export { layerOfStep, nameOfLaying, nameOfLine } from './stepNames.ts';
