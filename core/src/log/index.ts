export { doubtOf, learnHand, trusted, type Doubt, type Learned, type LearnedStitch } from './learn.ts';
export { aheadMs, inOrder, notedAfter } from './entryOrder.ts';
export { lastSitting, type LastSitting } from './sittings.ts';
export {
  countingEntries,
  finishProgress,
  mergeRecords,
  progressOf,
  toWorkAgain,
  type FinishProgress,
  type Progress,
} from './progress.ts';
export { forecast, hoursInAll, type Forecast } from './forecast.ts';
export { learnPace, paceIn, type Pace } from './pace.ts';
export { recordReport, type RecordReport } from './report.ts';
export { workSoFar, type LongGap, type WorkedStep, type WorkSoFar } from './work.ts';
