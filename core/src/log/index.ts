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
export {
  forecast,
  learnPace,
  paceIn,
  recordReport,
  workSoFar,
  type Forecast,
  type LongGap,
  type Pace,
  type RecordReport,
  type WorkedStep,
  type WorkSoFar,
} from './work.ts';
