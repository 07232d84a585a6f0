export { patternPages, type PatternOptions } from './patternPages.ts';
export { ownHand, PRACTICE, practiceSheet, practiceTargets } from './practiceSheet.ts';
export { pictureCircle, pictureSvg } from './pictureSvg.ts';
export { SHEETS, type Page, type PageItem, type Sheet } from './sheets.ts';
