export { entriesOf, freeM, isLow, isShort, metresOf, ownedM, reservedM, weighed, type Weighed } from './amounts.ts';
export {
  BACKINGS,
  backingFor,
  clothFor,
  ownsHoop,
  ownsMark,
  ownsNeedle,
  type BackingKind,
  type Basket,
  type BasketItem,
} from './basket.ts';
export { readCsv, writeCsv, type LeftOutRow, type ListRow, type ReadList } from './csv.ts';
export { COLUMNS, type Column, type MatchedColumns } from './list/columns.ts';
export { joinList, type Joining, type JoiningWays } from './list/joining.ts';
export { mergedBoxes } from './merged.ts';
export { readGpl, writeGpl, type ReadCard } from './gpl.ts';
export {
  boxProblem,
  boxSchema,
  cardSchema,
  EMPTY_BOX,
  entrySchema,
  MOST_ENTRIES,
  newEntry,
  shadeSchema,
  type BoxEntry,
  type OwnCard,
  type ThreadBox,
} from './schema.ts';
