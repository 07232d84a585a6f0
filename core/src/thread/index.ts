export { shareCuts, type Cut } from './cuts.ts';
export { countLoads, usableMm, type Loads } from './loads.ts';
export {
  colourNeeds,
  COUNTED_LOADS,
  loadSettings,
  needleRuns,
  stepSeconds,
  threadWork,
  type ColourNeed,
  type NeedleLoad,
  type StepWork,
} from './needs.ts';
export { drawNeeds, needOdds, quantile, RISING_FACTORS, risingFactors, shareWithin, Z90, type Odds } from './odds.ts';
export { onTheNeedle, type NeedleAnswer } from './onTheNeedle.ts';
export { inOrder, ORDER_WAYS, orderWays, type OrderWay, type OrderWayId } from './orderWays.ts';
export { CLEAR_IN_HOOP, EXTENT, hoopMoves, sumUp, type Plan } from './plan.ts';
export {
  ENOUGH,
  ownedFor,
  partsToDo,
  skeinsToBuy,
  skeinsToBuyInAll,
  willReach,
  type Owned,
  type Reach,
} from './reach.ts';
export { savings, type Saving } from './savings.ts';
export { shadeNeeds, type ShadeNeed } from './shadeNeeds.ts';
export { orderBound, orderTotals, type OrderBound, type OrderTotals } from './orderTotals.ts';
export { firstSittings, SITTING_SLACK, sittingsOf, type Sitting, type SittingStep } from './sittings.ts';
export { dayFor, doneBy, hoursUntil, sittingDays, type DoneBy } from './calendar.ts';
export { parkedDuring, stepNeedle, type StepNeedle } from './stepNeedle.ts';
export { enoughTimes } from './words.ts';
export { secondsByPart, timeAlone, timeOfLayer, type WorkTime } from './workTime.ts';
export { dayOf, timetable, type Timed } from './timetable.ts';
export { TIDY_AFTER, tidyTails } from './tidyTails.ts';
