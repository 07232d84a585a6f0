export { inkOn, marksAt, markStrength } from './marked.ts';
export { fadedParts, redrawPlan, type Redraw } from './redraw.ts';
export { checkRemoval, removalActs, type RemovalAct } from './removal.ts';
export { runningColours } from './running.ts';
export { tackingFor, type Tacking } from './tacks.ts';
export { rankWays, showsOn, threadsOf, type WayAdvice } from './ways.ts';
export { layOut, type LaidLength, type LaidOut } from './layOut.ts';
export { NO_NEW_THREAD } from './words.ts';
export { markingSteps } from './markingSteps.ts';
