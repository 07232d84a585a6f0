export { doubtOf, learnHand, trusted, type Doubt, type Learned, type LearnedStitch } from './learn.ts';
