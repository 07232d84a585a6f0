export { centred, fitToHoop, mirrored, onTheGrain, roomHalvesMm, settleInHoop, turned, type Room } from './fit.ts';
export { clearInHoopMm, insideEllipseMm, positionsOf } from './hoopRoom.ts';
export { groupLikeParts } from './likeParts.ts';
export {
  circleAround,
  designCircle,
  designPoints,
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
