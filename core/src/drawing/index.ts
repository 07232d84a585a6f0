export { centred, fitToHoop, mirrored, settleInHoop, turned } from './fit.ts';
export { groupLikeParts } from './likeParts.ts';
export {
  circleAround,
  designCircle,
  looseShape,
  middleOf,
  onDrawing,
  placementMatrix,
  pointsOf,
  ShapePlacer,
  veinLineOf,
  type PlacedShape,
} from './placedShapes.ts';
export { readSvg } from './readSvg.ts';
