export { WIDEST_SPOT_MM } from './shapeCutter.ts';
export {
  centred,
  fitToHoop,
  keepsSize,
  mirrored,
  movedTo,
  onTheGrain,
  resized,
  roomHalvesMm,
  settleInHoop,
  turned,
  type Room,
} from './fit.ts';
export { CUT_SHAPE, isTooLarge, LARGEST_PART_MM, PATH_REACH, WHOLE_SHAPE } from './shapeCutter.ts';
export { clearInHoopMm, hoopAboutAll, hoopAt, insideEllipseMm, positionsOf, spreadOfPositions } from './hoopRoom.ts';
export { groupLikeParts, likeInOtherColours, likeSets } from './likeParts.ts';
export { circleAround, designCircle, designPoints } from './designCircle.ts';
export {
  edgesOf,
  looseShape,
  pictureOnCloth,
  onDrawing,
  placementMatrix,
  pointsOf,
  type PlacedShape,
  type ShapePair,
} from './placedShape.ts';
export {
  axisOf,
  MIDDLE_AS_CUT,
  MIDDLE_ON_CLOTH,
  middleFound,
  SHAPE_ON_CLOTH,
  ShapePlacer,
  veinLineOf,
  type MiddleOf,
} from './shapePlacer.ts';
export { isBareDrawing } from './bareDrawing.ts';
export { readSvg } from './readSvg.ts';
export {
  isConvex,
  isWhole,
  outlinesOf,
  squaredUp,
  MOST_PIXELS,
  pageAspect,
  pageWidthMm,
  readPicture,
  shrunk,
  subjectOf,
  WHOLE,
  type Corner,
  type Corners,
  type PictureOptions,
  type Progress,
  type Raster,
} from './pictures/index.ts';
export {
  colourBelow,
  type PictureBelow,
  addParts,
  drawFreehand,
  type EdgesBelow,
  HELPERS,
  layOutLetters,
  leastHeightMm,
  lineFont,
  outlineFont,
  type Helper,
  type HelperPart,
  type LetterFont,
  type LetterLayout,
} from './helpers/index.ts';
export {
  cornersOf,
  cutPart,
  joinParts,
  lineToArea,
  nudgeParts,
  outlineToLine,
  simplifyParts,
  turnRound,
} from './partTools.ts';
export { ASKED_RULES, tidy, TIDY_RULES, type Tidied, type TidyRule, type TidyWishes } from './tidy/index.ts';
export { tidyEdit, type TidiedDrawing } from './tidy/edit.ts';
export { reimport, type Reimport } from './reimport.ts';
export { escapedXml, writeSvg } from './writeSvg.ts';
