export { guideHtml } from './guide/guideHtml.ts';
export { workingDrawing } from './guide/workingDrawing.ts';
export { guidePages } from './guide/guidePages.ts';
export { makeGuide } from './guide/guide.ts';
export { figureText } from './guide/layerFigures.ts';
export { firstLines, glanced, noteLines } from './guide/stepBlocks.ts';
export { noteOf, type StepNote } from './guide/stepNotes.ts';
export { lettersOf } from './sheets.ts';
export { oneSpot, sampleOf, threadFor, type Sample } from './samples.ts';
export { patternPages, type PatternOptions } from './patternPages.ts';
export { ownHand, PRACTICE, practiceSheet, practiceTargets } from './practiceSheet.ts';
export { labelPage, type LabelWords } from './labels.ts';
export { templateKey, templatePages } from './templatePages.ts';
export { pictureCircle, pictureSvg } from './pictureSvg.ts';
export { cuttingList, cuttingPages, loadWords, type CutInWords } from './cuttingPages.ts';
export {
  costsOf,
  shoppingCsv,
  shoppingList,
  shoppingPages,
  troubleWords,
  type Costs,
  type ShoppingRow,
} from './shoppingList.ts';
export {
  BAR_MM,
  FILM_RANGE_MM,
  filmSheet,
  printerScale,
  SHEETS,
  TRUE_PRINTER,
  type PrinterScale,
  type Page,
  type PageItem,
  type Sheet,
} from './sheets.ts';
export { PRINT_TRUE } from './words.ts';
