export { patternPages, type PatternOptions } from './patternPages.ts';
export { SHEETS, type Page, type PageItem, type Sheet } from './sheets.ts';
