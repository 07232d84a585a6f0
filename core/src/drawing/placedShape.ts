import {
  boxOf,
  compose,
  IDENTITY,
  inscribedCircle,
  inverse,
  mapPoints,
  polylineLength,
  regionArea,
  regionPerimeter,
  turning,
  type Box,
  type Circle,
  type Matrix,
  type Polyline,
} from '../geometry/index.ts';
import { roundTo } from '../measure/index.ts';
import type { Part, Placement, Underlay } from '../piece/index.ts';
import type { StitchShape } from '../stitches/index.ts';

/** A part as it lies on the cloth: what of it is seen, in mm from the middle of the hoop. */
export interface PlacedShape {
  readonly partId: string;
  readonly kind: Part['kind'];
  readonly shape: StitchShape;
  readonly areaMm2: number;
  readonly lengthMm: number;
  /** The box of what is seen; null where nothing is. */
  readonly box: Box | null;
  /** The widest place of an area. */
  readonly widest: Circle | null;
  /** The mean width of an area: twice its area over its outline. */
  readonly meanWidthMm: number;
  /** Ids of the parts that hide some of it, the foremost first. */
  readonly behind: readonly string[];
  /** Strokes along which stitches shall lie, the middle line where it was laid, and the lines between shades. */
  readonly guides: readonly Polyline[];
  readonly vein: Polyline | null;
  readonly borders: readonly Polyline[];
  /** From the drawing to the cloth. */
  readonly toCloth: Matrix;
  /**
   * All of an area, where what lies on it hides little and leaves its outline mostly whole: a face with eyes is a disc, and its form is judged by
   * that; null where it is judged by what is seen.
   */
  readonly whole: PlacedShape | null;
}

/** Two shapes that something is found about. */
export interface ShapePair {
  readonly a: PlacedShape;
  readonly b: PlacedShape;
}

/** A shape on the cloth that is no part of a drawing: for samples and comparisons. */
export function looseShape(partId: string, kind: Part['kind'], shape: StitchShape): PlacedShape {
  return measuredShape(partId, kind, shape, {
    behind: [],
    guides: [],
    vein: null,
    borders: [],
    toCloth: IDENTITY,
    whole: null,
  });
}

/** What is known of a shape beside what it measures. */
export type Further = Pick<PlacedShape, 'behind' | 'guides' | 'vein' | 'borders' | 'toCloth' | 'whole'>;

/** A shape with its measures. */
export function measuredShape(partId: string, kind: Part['kind'], shape: StitchShape, further: Further): PlacedShape {
  const areaMm2 = regionArea(shape.region);
  const perimeter = regionPerimeter(shape.region);
  const widest = areaMm2 > 0 ? inscribedCircle(shape.region) : null;
  return {
    partId,
    kind,
    shape,
    areaMm2,
    lengthMm: kind === 'area' ? perimeter : lengthOf(shape.lines),
    box: boxOfShape(shape),
    widest,
    meanWidthMm: perimeter > 0 ? (2 * areaMm2) / perimeter : 0,
    ...further,
  };
}

/** How long some lines are together, mm. */
export function lengthOf(lines: readonly Polyline[]): number {
  return lines.reduce((sum, line) => sum + polylineLength(line), 0);
}

/** The map from the drawing to the cloth. */
export function placementMatrix({ scale, turnDeg, mirrored, xMm, yMm }: Placement): Matrix {
  const [a, b, c, d] = turning(turnDeg);
  const across = mirrored ? -scale : scale;
  return [a * across, b * across, c * scale, d * scale, xMm, yMm];
}

/** The map from the pixels of a picture below the drawing to the cloth. */
export function pictureOnCloth(placement: Placement, { mmPerPx, xMm, yMm }: Underlay): Matrix {
  return compose(placementMatrix(placement), [mmPerPx, 0, 0, mmPerPx, xMm, yMm]);
}

/** The coordinate arrays of a shape. */
export function* pointsOf({ region, lines, spots }: StitchShape): Generator<Float64Array> {
  yield* region;
  for (const line of lines) yield line.points;
  if (spots.length > 0) yield spots;
}

/** The lines and outlines of a shape; its spots have none. */
export function edgesOf({ region, lines }: StitchShape): Polyline[] {
  return [...region.map((points) => ({ points, closed: true })), ...lines];
}

/** The box of a shape; null where nothing is of it. */
export function boxOfShape(shape: StitchShape): Box | null {
  return boxOf(pointsOf(shape));
}

/** Places on the drawing are kept to a thousandth of a millimetre. */
const DECIMALS = 3;

/** Where on the drawing a place on the cloth lies, mm. */
export function onDrawing(toCloth: Matrix, x: number, y: number): [x: number, y: number] {
  const [drawnX, drawnY] = mapPoints(inverse(toCloth), Float64Array.of(x, y));
  return [roundTo(drawnX!, DECIMALS), roundTo(drawnY!, DECIMALS)];
}
