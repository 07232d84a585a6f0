export { patternPages, type PatternOptions } from './patternPages.ts';
export { ownHand, PRACTICE, practiceSheet, practiceTargets } from './practiceSheet.ts';
export { pictureCircle, pictureSvg } from './pictureSvg.ts';
export { cuttingList, cuttingPages, loadWords, type CutInWords } from './cuttingPages.ts';
export {
  costsOf,
  shoppingCsv,
  shoppingList,
  shoppingPages,
  skeinsToBuy,
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
