export {
  crushedParts,
  findPositions,
  isRaised,
  orderPositions,
  worksOf,
  type Crushed,
  type HoopPosition,
} from './positions.ts';
export { fadedParts, redrawPlan, type Redraw } from './redraw.ts';
export { checkRemoval, removalSteps, type RemovalAct, type RemovalStep } from './removal.ts';
export { dayOf, timetable, type Timed } from './sittings.ts';
export { tackingFor, type Tacking } from './tacks.ts';
