export { doubtOf, learnHand, trusted, type Doubt, type Learned, type LearnedStitch } from './learn.ts';
export { countingEntries, mergeRecords, progressOf, toWorkAgain, type Progress } from './progress.ts';
