export { stepsAfterStitching, type FinishingStep } from './afterStitching.ts';
export { USUAL_LENGTHS } from './context.ts';
export { finishPlan } from './finishPlan.ts';
export type {
  Amounts,
  FinishAct,
  FinishLook,
  FinishMaterial,
  FinishPlan,
  FinishProblem,
  FinishStep,
  Template,
  TemplateLine,
  TemplateLineKind,
} from './kinds.ts';
export { priceOf, type Price, type PriceOptions } from './price.ts';
export type { Heights } from './puffed.ts';
export { GROWN_AT_FIRST, WORKED_AREA } from './outlines.ts';
export { materialInWords } from './materialWords.ts';
export { brokenFinishRules } from './orderRules.ts';
export { amountsInWords } from './words.ts';
export { finishTools, type FinishTools } from './tools.ts';
export { ACT_NAMES, END_NAMES, isMade } from './endNames.ts';
