import { mapPoints, middleLine, type Circle, type Matrix, type MiddleLine, type Polyline } from '../geometry/index.ts';
import { Memory, stage, type Faults } from '../measure/index.ts';
import type { Placement, PlanInput } from '../piece/index.ts';
import { boxOfShape, placementMatrix, type PlacedShape } from './placedShape.ts';
import { cuttingScale, cutShapes } from './shapeCutter.ts';

/** The middle line of an area, with its local width; null where there is none. */
export type MiddleOf = (placed: PlacedShape) => MiddleLine | null;

interface LaidPart {
  readonly cut: PlacedShape;
  readonly placement: Placement;
}

export const SHAPE_ON_CLOTH = stage<LaidPart>()('shape on the cloth', ['cut', 'placement'], laidOnCloth);
export const MIDDLE_AS_CUT = stage<LaidPart>()('middle as cut', ['cut'], ({ cut }) => middleFound(cut));
export const MIDDLE_ON_CLOTH = stage<LaidPart>()('middle on the cloth', ['cut', 'placement'], (laid, memory) => {
  const { matrix, factor } = moveOf(laid.placement);
  return movedMiddle(memory.made(MIDDLE_AS_CUT, [laid.cut.partId], laid), matrix, factor);
});

/**
 * Lays the parts of a piece on the cloth. A part that did not change, and that nothing else came to hide, is the same object as before. A
 * design that is only moved, turned or slightly enlarged is not cut again.
 */
export class ShapePlacer {
  private laid = new Map<string, LaidPart>();

  constructor(private readonly memory = new Memory()) {}

  /**
   * The parts from back to front.
   * @param faults what goes wrong with a part is added: of that, nothing is laid
   */
  place(piece: PlanInput, faults: Faults = new Map()): PlacedShape[] {
    const { memory } = this;
    const { placement } = piece;
    this.laid = new Map(cutShapes(piece, faults, memory).map((cut) => [cut.partId, { cut, placement }]));
    return [...this.laid].map(([id, laid]) => memory.made(SHAPE_ON_CLOTH, [id], laid));
  }

  /** The middle line of a shape that was laid last: found as it was cut, so that a design which is moved keeps its middle lines. */
  readonly middleOf: MiddleOf = ({ partId }) => {
    const laid = this.laid.get(partId);
    if (!laid) throw new RangeError(`middleOf: no part '${partId}' was laid`);
    return this.memory.made(MIDDLE_ON_CLOTH, [partId], laid);
  };
}

/** How a shape is moved from where it was cut to where it lies, and by how much it grows. */
function moveOf(placement: Placement): { readonly matrix: Matrix; readonly factor: number } {
  const factor = placement.scale / cuttingScale(placement);
  return { matrix: placementMatrix({ ...placement, scale: factor, mirrored: false }), factor };
}

function laidOnCloth({ cut, placement }: LaidPart): PlacedShape {
  const { whole } = cut;
  return { ...moved(cut, placement), whole: whole && moved(whole, placement) };
}

function moved(cut: PlacedShape, placement: Placement): PlacedShape {
  const { matrix, factor } = moveOf(placement);
  const laid = (points: Float64Array): Float64Array => mapPoints(matrix, points);
  const movedLine = ({ points, closed }: Polyline): Polyline => ({ points: laid(points), closed });
  const { region, lines, spots } = cut.shape;
  const shape = { region: region.map(laid), lines: lines.map(movedLine), spots: laid(spots) };
  return {
    ...cut,
    shape,
    areaMm2: cut.areaMm2 * factor ** 2,
    lengthMm: cut.lengthMm * factor,
    box: boxOfShape(shape),
    widest: cut.widest && movedCircle(cut.widest, matrix, factor),
    meanWidthMm: cut.meanWidthMm * factor,
    guides: cut.guides.map(movedLine),
    vein: cut.vein && movedLine(cut.vein),
    borders: cut.borders.map(movedLine),
    toCloth: placementMatrix(placement),
  };
}

function movedCircle({ x, y, r }: Circle, matrix: Matrix, factor: number): Circle {
  const [movedX, movedY] = mapPoints(matrix, Float64Array.of(x, y));
  return { x: movedX!, y: movedY!, r: r * factor };
}

function movedMiddle(middle: MiddleLine | null, matrix: Matrix, factor: number): MiddleLine | null {
  if (!middle) return null;
  const { points, closed, widthsMm, branches } = middle;
  return {
    points: mapPoints(matrix, points),
    closed,
    widthsMm: widthsMm.map((width) => width * factor),
    branches: branches.map((branch) => ({ ...branch, points: mapPoints(matrix, branch.points) })),
  };
}

/** The middle line of any shape, worked out each time that it is asked for: of all of it, where little lies on it. */
export const middleFound: MiddleOf = ({ shape, whole }) => middleLine((whole ?? { shape }).shape.region);

/** The line along the middle of an area: as the person laid it, or as it is found. */
export function veinLineOf(placed: PlacedShape, middleOf: MiddleOf = middleFound): Polyline | null {
  return placed.vein ?? middleOf(placed);
}

/** The lines along the middle of all strokes and rings of an area; one alone where it is one strip, or where the person laid it. */
export function axisOf(placed: PlacedShape, middleOf: MiddleOf = middleFound): readonly Polyline[] {
  if (placed.vein) return [placed.vein];
  const middle = middleOf(placed);
  if (!middle) return [];
  return middle.branches.length > 0 ? middle.branches : [middle];
}
