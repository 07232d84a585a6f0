export { lengthsOf, placeOn, reversedLine, wayRound } from './alongPolyline.ts';
export {
  intersect,
  offset,
  offsetLine,
  splitByLine,
  subtract,
  subtractFromLines,
  unite,
  type FillRuleName,
} from './clip.ts';
export { drawnOnce } from './drawnOnce.ts';
export { clipToBox } from './clipToBox.ts';
export {
  gridField,
  guidedField,
  radialField,
  type Direction,
  type DirectionField,
  type DoubledGrid,
} from './directionField.ts';
export { fullnessOf } from './hull.ts';
export { islandsOf } from './islands.ts';
export { InsideGrid } from './insideGrid.ts';
export { fieldSpans, type SpanFan } from './fieldSpans.ts';
export { fieldRows, type FieldRowOptions } from './fieldRows.ts';
export { farthestCoordinate, movedPath, pathPoints, pathReach, pathStart, reversedPath } from './pathOps.ts';
export { flattenPath, type FlatRun } from './flatten.ts';
export { narrowestGap, type Gap } from './gap.ts';
export { inscribedCircle } from './inscribedCircle.ts';
export { earlierMeeting } from './meetingBoxes.ts';
export { middleLine, type MiddleLine } from './middleLine.ts';
export { distanceBeyond, distanceToLines, distanceToOutline, reachInside } from './outline.ts';
export { compose, inverse, IDENTITY, mapPoints, meanScale, type Matrix, turning } from './matrix.ts';
export { cellRows, scanCells, scanFrame, type ScanCell, type ScanFrame } from './scanCells.ts';
export { nearestOnRing, ringStretch } from './ringStretch.ts';
export { scanRows } from './scanRows.ts';
export {
  aroundBoxes,
  boxesMeet,
  ellipseRing,
  isInBox,
  boxOf,
  isInside,
  polylineLength,
  regionArea,
  equalCircleMm,
  regionPerimeter,
  ringArea,
  type Box,
  type Point,
  type Polyline,
  type Region,
  type Ring,
} from './shapes.ts';
export { pathData } from './pathData.ts';
export { NearestPoints } from './nearestPoints.ts';
export { simplifyLine, simplifyRegion, WOBBLE_MM } from './simplify.ts';
export { convexHull, insideOfExtremes, smallestCircle, type Circle } from './smallestCircle.ts';
export { withoutStretches } from './stretches.ts';
export { parallelLine } from './parallel.ts';
export {
  CHORD_TOLERANCE_MM,
  paceAlong,
  runsOf,
  RunWalker,
  stationsAlong,
  tightestRadiusMm,
  type Pace,
  type Run,
} from './stations.ts';
export { placeAt, placesOf, segmentsOf, type Place } from './points.ts';
export { placeWithin, type PlaceWithin } from './placeWithin.ts';
