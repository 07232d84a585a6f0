import {
  flattenPath,
  insideOfExtremes,
  mapPoints,
  pathPoints,
  pathStart,
  smallestCircle,
  type Circle,
  placesOf,
} from '../geometry/index.ts';
import type { PlanInput, Piece } from '../piece/index.ts';
import { placementMatrix, pointsOf, type PlacedShape } from './placedShape.ts';

/** The smallest circle around all that lies on the cloth, or null where nothing does. */
export function circleAround(shapes: readonly PlacedShape[]): Circle | null {
  return smallestCircle(shapes.flatMap((placed) => [...pointsOf(placed.shape)]));
}

/** Flattened this finely, a design's circle is right to a hundredth of a millimetre. */
const COARSE_MM = 0.01;

/** The corners of a whole design as placed, hidden portions too: all that is needed to place it anew. */
export function designPoints({ drawing, placement }: Pick<PlanInput, 'drawing' | 'placement'>): Float64Array {
  const matrix = placementMatrix(placement);
  const arrays = drawing.parts
    .filter((part) => part.shown)
    .flatMap((part) => flattenPath(part.path, COARSE_MM / placement.scale).map((run) => mapPoints(matrix, run.points)));
  return joined(arrays);
}

function joined(arrays: readonly Float64Array[]): Float64Array {
  const all = new Float64Array(arrays.reduce((sum, array) => sum + array.length, 0));
  let at = 0;
  for (const array of arrays) {
    all.set(array, at);
    at += array.length;
  }
  return all;
}

/** The smallest circle around a whole design as placed; parts that lie well within it are not looked at closely. */
export function designCircle({ drawing, placement }: Piece): Circle | null {
  const matrix = placementMatrix(placement);
  const parts = drawing.parts.filter((part) => part.shown);
  const starts = Float64Array.from(parts.flatMap((part) => pathStart(part.path)));
  const isWithin = insideOfExtremes([mapPoints(matrix, starts)]);
  const outer = parts.filter((part) => {
    const points = mapPoints(matrix, pathPoints(part.path));
    for (const [x, y] of placesOf(points)) if (!isWithin(x, y)) return true;
    return false;
  });
  return smallestCircle([designPoints({ drawing: { ...drawing, parts: outer }, placement })]);
}
