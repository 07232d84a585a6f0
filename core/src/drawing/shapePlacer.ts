import { mapPoints, middleLine, type Circle, type Matrix, type MiddleLine, type Polyline } from '../geometry/index.ts';
import type { Faults } from '../measure/index.ts';
import type { Placement, PlanInput } from '../piece/index.ts';
import { boxOfShape, placementMatrix, type PlacedShape } from './placedShape.ts';
import { cuttingScale, ShapeCutter } from './shapeCutter.ts';

/**
 * Lays the parts of a piece on the cloth, and keeps what it made: a part that did not change, and that nothing else came
 * to hide, is the same object as before; a design that is only moved, turned or a little enlarged is not cut anew.
 */
export class ShapePlacer {
  private readonly cutter = new ShapeCutter();
  private seen = new Map<string, { cut: PlacedShape; frame: string; placed: PlacedShape }>();

  /**
   * The parts from back to front.
   * @param faults what goes wrong with a part is added: of that, nothing is laid
   */
  place(piece: PlanInput, faults: Faults = new Map()): PlacedShape[] {
    const frame = JSON.stringify(piece.placement);
    const seen: typeof this.seen = new Map();
    for (const cut of this.cutter.cut(piece, faults)) {
      const before = this.seen.get(cut.partId);
      const isSame = before?.cut === cut && before.frame === frame;
      seen.set(cut.partId, isSame ? before : { cut, frame, placed: laidOnCloth(cut, piece.placement) });
    }
    this.seen = seen;
    return [...seen.values()].map(({ placed }) => placed);
  }
}

/** Where a shape on the cloth was moved from. */
const cutFrom = new WeakMap<PlacedShape, { cut: PlacedShape; matrix: Matrix; factor: number }>();

function laidOnCloth(cut: PlacedShape, placement: Placement): PlacedShape {
  const factor = placement.scale / cuttingScale(placement);
  const matrix = placementMatrix({ ...placement, scale: factor, mirrored: false });
  const moved = (points: Float64Array): Float64Array => mapPoints(matrix, points);
  const movedLine = ({ points, closed }: Polyline): Polyline => ({ points: moved(points), closed });
  const { region, lines, spots } = cut.shape;
  const shape = { region: region.map(moved), lines: lines.map(movedLine), spots: moved(spots) };
  const placed: PlacedShape = {
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
  cutFrom.set(placed, { cut, matrix, factor });
  return placed;
}

function movedCircle({ x, y, r }: Circle, matrix: Matrix, factor: number): Circle {
  const [movedX, movedY] = mapPoints(matrix, Float64Array.of(x, y));
  return { x: movedX!, y: movedY!, r: r * factor };
}

const middles = new WeakMap<PlacedShape, MiddleLine | null>();

/** The middle line of an area as it is found, with its local width; null where there is none. Found once for each shape. */
export function middleOf(placed: PlacedShape): MiddleLine | null {
  const known = middles.get(placed);
  if (known !== undefined) return known;
  const from = cutFrom.get(placed);
  const found = from ? movedMiddle(middleOf(from.cut), from.matrix, from.factor) : middleLine(placed.shape.region);
  middles.set(placed, found);
  return found;
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

/** The line along the middle of an area: as the person laid it, or as it is found. */
export function veinLineOf(placed: PlacedShape): Polyline | null {
  return placed.vein ?? middleOf(placed);
}

/** The lines along the middle of all strokes and rings of an area; one alone where it is one strip, or where the person laid it. */
export function axisOf(placed: PlacedShape): readonly Polyline[] {
  if (placed.vein) return [placed.vein];
  const middle = middleOf(placed);
  if (!middle) return [];
  return middle.branches.length > 0 ? middle.branches : [middle];
}
