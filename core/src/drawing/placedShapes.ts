import {
  boxesMeet,
  boxOf,
  flattenPath,
  IDENTITY,
  insideOfExtremes,
  inscribedCircle,
  inverse,
  mapPoints,
  middleLine,
  pathPoints,
  polylineLength,
  regionArea,
  regionPerimeter,
  smallestCircle,
  subtract,
  subtractFromLines,
  unite,
  isInside,
  type Box,
  type Circle,
  type FlatRun,
  type Matrix,
  type MiddleLine,
  type Polyline,
  type Region,
} from '../geometry/index.ts';
import { roundTo } from '../measure/index.ts';
import type { Part, Piece, Placement } from '../piece/index.ts';
import type { StitchShape } from '../stitches/index.ts';

/** Curves are drawn by chords that stay within this on the cloth, mm. */
const FLATTEN_MM = 0.004;

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
}

/** A shape on the cloth that is no part of a drawing: for samples and comparisons. */
export function looseShape(partId: string, kind: Part['kind'], shape: StitchShape): PlacedShape {
  return measuredShape(partId, kind, shape, {
    behind: [],
    guides: [],
    vein: null,
    borders: [],
    toCloth: IDENTITY,
  });
}

interface Kept<T> {
  readonly key: string;
  readonly value: T;
}

/** The map from the drawing to the cloth. */
export function placementMatrix({ scale, turnDeg, mirrored, xMm, yMm }: Placement): Matrix {
  // Turning is anticlockwise as seen; y points down.
  const turn = (-turnDeg * Math.PI) / 180;
  const [cos, sin] = [Math.cos(turn) * scale, Math.sin(turn) * scale];
  const flip = mirrored ? -1 : 1;
  return [cos * flip, sin * flip, -sin, cos, xMm, yMm];
}

/**
 * Lays the parts of a piece on the cloth, and keeps what it made: a part that did not change, and that nothing else came
 * to hide, is the same object as before.
 */
export class ShapePlacer {
  private whole = new Map<string, Kept<StitchShape>>();
  private seen = new Map<string, Kept<PlacedShape>>();

  /** The parts from back to front. */
  place(piece: Piece): PlacedShape[] {
    const frame = JSON.stringify(piece.placement);
    const whole = new Map<string, Kept<StitchShape>>();
    for (const part of piece.drawing.parts) {
      const lines = [...part.guides, '', part.vein, '', ...part.borders].join('|');
      const key = `${frame}|${part.kind}|${part.fillRule}|${part.path}|${lines}|${part.shown}`;
      const before = this.whole.get(part.id);
      whole.set(part.id, before?.key === key ? before : { key, value: layOnCloth(part, piece.placement) });
    }
    this.whole = whole;
    return this.cutHidden(piece, whole);
  }

  private cutHidden(piece: Piece, whole: ReadonlyMap<string, Kept<StitchShape>>): PlacedShape[] {
    const seen = new Map<string, Kept<PlacedShape>>();
    const inFront: (Cover & { key: string; box: Box })[] = [];
    const placed: PlacedShape[] = [];
    for (const part of [...piece.drawing.parts].reverse()) {
      const { key: ownKey, value: shape } = whole.get(part.id)!;
      const box = boxOfShape(shape);
      const covers = box ? inFront.filter((other) => boxesMeet(other.box, box)) : [];
      const key = [ownKey, ...covers.map((cover) => cover.key)].join('\n');
      const before = this.seen.get(part.id);
      const kept =
        before?.key === key
          ? before
          : {
              key,
              value: measured(part, piece.placement, shape, covers),
            };
      seen.set(part.id, kept);
      placed.push(kept.value);
      if (piece.drawing.hidden === 'cut' && part.kind === 'area' && part.opaque && box) {
        inFront.push({ id: part.id, key: ownKey, region: shape.region, box });
      }
    }
    this.seen = seen;
    return placed.reverse();
  }
}

/** The smallest circle around all that lies on the cloth, or null where nothing does. */
export function circleAround(shapes: readonly PlacedShape[]): Circle | null {
  return smallestCircle(shapes.flatMap((placed) => [...pointsOf(placed.shape)]));
}

/** Flattened this finely, a design's circle is right to a hundredth of a millimetre. */
const COARSE_MM = 0.01;

/** The corners of a whole design as placed, hidden portions too: all that is needed to place it anew. */
export function designPoints({ drawing, placement }: Pick<Piece, 'drawing' | 'placement'>): Float64Array {
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
  const isWithin = insideOfExtremes(parts.map((part) => mapPoints(matrix, pathPoints(part.path, false))));
  const outer = parts.filter((part) => {
    const points = mapPoints(matrix, pathPoints(part.path, true));
    for (let i = 0; i < points.length; i += 2) if (!isWithin(points[i]!, points[i + 1]!)) return true;
    return false;
  });
  return smallestCircle([designPoints({ drawing: { ...drawing, parts: outer }, placement })]);
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

function boxOfShape(shape: StitchShape): Box | null {
  return boxOf(pointsOf(shape));
}

const NO_SPOTS = new Float64Array(0);

const NOTHING: StitchShape = { region: [], lines: [], spots: NO_SPOTS };

function layOnCloth(part: Part, placement: Placement): StitchShape {
  if (!part.shown) return NOTHING;
  const matrix = placementMatrix(placement);
  const runs = flattenPath(part.path, FLATTEN_MM / placement.scale);
  const points = (run: FlatRun): Float64Array => mapPoints(matrix, run.points);
  if (part.kind === 'area') {
    const rings = runs.filter((run) => run.points.length >= 6).map(points);
    return { region: unite(rings, part.fillRule), lines: [], spots: NO_SPOTS };
  }
  if (part.kind === 'line') {
    const lines = runs.filter((run) => !run.isDot).map((run) => ({ points: points(run), closed: run.closed }));
    return { region: [], lines, spots: NO_SPOTS };
  }
  const spots = runs.map((run) => points(run).slice(0, 2));
  return { region: [], lines: [], spots: Float64Array.from(spots.flatMap((spot) => [...spot])) };
}

/** An area that hides what lies behind it. */
interface Cover {
  readonly id: string;
  readonly region: Region;
}

function measured(part: Part, placement: Placement, whole: StitchShape, covers: readonly Cover[]): PlacedShape {
  const shape = cutBehind(whole, covers);
  const toCloth = placementMatrix(placement);
  const laid = (path: string): Polyline[] =>
    flattenPath(path, FLATTEN_MM / placement.scale).map((run) => ({
      points: mapPoints(toCloth, run.points),
      closed: run.closed,
    }));
  return measuredShape(part.id, part.kind, shape, {
    behind: isLess(shape, whole) ? hiding(whole, covers) : [],
    guides: part.guides.flatMap(laid),
    vein: part.vein === null ? null : (laid(part.vein)[0] ?? null),
    borders: part.borders.flatMap(laid),
    toCloth,
  });
}

type Further = Pick<PlacedShape, 'behind' | 'guides' | 'vein' | 'borders' | 'toCloth'>;

function measuredShape(partId: string, kind: Part['kind'], shape: StitchShape, further: Further): PlacedShape {
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

function lengthOf(lines: readonly Polyline[]): number {
  return lines.reduce((sum, line) => sum + polylineLength(line), 0);
}

/** Those of some covers that hide anything of a shape. */
function hiding(whole: StitchShape, covers: readonly Cover[]): string[] {
  const all = covers.length === 1 ? covers : covers.filter((cover) => isLess(cutBehind(whole, [cover]), whole));
  return all.map(({ id }) => id);
}

function isLess(shape: StitchShape, whole: StitchShape): boolean {
  if (shape === whole) return false;
  const [wholeArea, wholeLength] = [regionArea(whole.region), lengthOf(whole.lines)];
  return (
    regionArea(shape.region) < wholeArea * 0.999 ||
    lengthOf(shape.lines) < wholeLength * 0.999 ||
    shape.spots.length < whole.spots.length
  );
}

function cutBehind(whole: StitchShape, covers: readonly Cover[]): StitchShape {
  if (covers.length === 0) return whole;
  const { region, lines, spots } = whole;
  const united =
    covers.length === 1
      ? covers[0]!.region
      : unite(
          covers.flatMap((cover) => cover.region),
          'nonzero',
        );
  const seenSpots: number[] = [];
  for (let i = 0; i < spots.length; i += 2) {
    if (!isInside(united, spots[i]!, spots[i + 1]!)) seenSpots.push(spots[i]!, spots[i + 1]!);
  }
  return {
    region: region.length > 0 ? subtract(region, united) : region,
    lines: lines.length > 0 ? subtractFromLines(lines, united) : lines,
    spots: Float64Array.from(seenSpots),
  };
}

const middles = new WeakMap<PlacedShape, MiddleLine | null>();

/** The middle line of an area as it is found, with its local width; null where there is none. Found once for each shape. */
export function middleOf(placed: PlacedShape): MiddleLine | null {
  const known = middles.get(placed);
  if (known !== undefined) return known;
  const found = middleLine(placed.shape.region);
  middles.set(placed, found);
  return found;
}

/** The line along the middle of an area: as the person laid it, or as it is found. */
export function veinLineOf(placed: PlacedShape): Polyline | null {
  return placed.vein ?? middleOf(placed);
}

/** Places on the drawing are kept to a thousandth of a millimetre. */
const DECIMALS = 3;

/** Where on the drawing a place on the cloth lies, mm. */
export function onDrawing(toCloth: Matrix, x: number, y: number): [x: number, y: number] {
  const [drawnX, drawnY] = mapPoints(inverse(toCloth), Float64Array.of(x, y));
  return [roundTo(drawnX!, DECIMALS), roundTo(drawnY!, DECIMALS)];
}
