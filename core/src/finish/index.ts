export { stepsAfterStitching, type FinishingStep } from './afterStitching.ts';
