export { addParts } from './addParts.ts';
export { colourBelow, type PictureBelow } from './colourBelow.ts';
export { drawFreehand, type EdgesBelow, type FreehandOptions } from './freehand.ts';
export type { Helper, HelperParam, HelperPart } from './helper.ts';
export { HELPERS } from './helpers.ts';
export {
  layOutLetters,
  leastHeightMm,
  lineFont,
  outlineFont,
  type LetterFont,
  type LetterLayout,
} from './lettering.ts';
