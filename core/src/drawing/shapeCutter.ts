import {
  boxesMeet,
  equalCircleMm,
  flattenPath,
  isInside,
  mapPoints,
  pathReach,
  regionArea,
  regionPerimeter,
  subtract,
  subtractFromLines,
  unite,
  type Box,
  type FlatRun,
  type Matrix,
  type Polyline,
  type Region,
  placesOf,
} from '../geometry/index.ts';
import { attempt, Memory, stage, type Faults } from '../measure/index.ts';
import type { Part, Placement, PlanInput } from '../piece/index.ts';
import type { StitchShape } from '../stitches/index.ts';
import { boxOfShape, lengthOf, looseShape, measuredShape, type PlacedShape } from './placedShape.ts';

/** Curves are drawn by chords that stay within this, mm. */
const FLATTEN_MM = 0.004;

/**
 * The size at which the shapes of a placement are cut, in mm for one of the drawing: the next power of two. So a design that
 * is moved, turned or enlarged a little needs no cutting, and how it is cut does not depend on what happened before.
 */
export function cuttingScale({ scale }: Placement): number {
  return 2 ** Math.ceil(Math.log2(scale));
}

function cuttingMatrix(placement: Placement): Matrix {
  const scale = cuttingScale(placement);
  return [placement.mirrored ? -scale : scale, 0, 0, scale, 0, 0];
}

/** How near chords stay to curves of the drawing. */
function chordsWithin(matrix: Matrix): number {
  return FLATTEN_MM / matrix[3];
}

/** A part whole: of what its own shape is made. */
interface WholePart extends Pick<Part, 'kind' | 'fillRule' | 'path'> {
  readonly matrix: Matrix;
  readonly isLeftOut: boolean;
}

export const WHOLE_SHAPE = stage<WholePart>()(
  'whole shape',
  ['kind', 'fillRule', 'path', 'matrix', 'isLeftOut'],
  wholeShape,
);

export const PATH_REACH = stage<Part>()('path reach', ['path'], ({ path }) => pathReach(path));

/** A part and what lies in front of it. */
interface CoveredPart extends Pick<Part, 'id' | 'kind' | 'guides' | 'vein' | 'borders' | 'scrap'> {
  readonly matrix: Matrix;
  readonly whole: StitchShape;
  readonly covers: readonly Cover[];
}

export const CUT_SHAPE = stage<CoveredPart>()(
  'cut shape',
  ['id', 'kind', 'guides', 'vein', 'borders', 'scrap', 'matrix', 'whole', 'covers'],
  measured,
);

/**
 * The parts of a piece from back to front, cut where others hide them, about the middle of the drawing and a little larger than they will
 * be: a part that did not change, and that nothing else came to hide, is the same object as before.
 * @param faults what goes wrong with a part is added: of that, nothing is laid, and it is tried again next time
 */
export function cutShapes(piece: PlanInput, faults: Faults, memory: Memory): PlacedShape[] {
  const matrix = cuttingMatrix(piece.placement);
  const inFront: (Cover & { readonly box: Box })[] = [];
  const shapes: PlacedShape[] = [];
  for (const part of [...piece.drawing.parts].reverse()) {
    const { id, kind, fillRule, path, guides, vein, borders, scrap } = part;
    const isLeftOut = !part.shown || isTooLarge(part, piece.placement, memory);
    const nothing = (): StitchShape => NOTHING;
    const whole = attempt(
      faults,
      id,
      () => memory.made(WHOLE_SHAPE, [id], { kind, fillRule, path, matrix, isLeftOut }),
      nothing,
    );
    const box = boxOfShape(whole);
    const covers = box
      ? inFront.filter((other) => boxesMeet(other.box, box)).map(({ id: front, region }) => ({ id: front, region }))
      : [];
    shapes.push(
      attempt(
        faults,
        id,
        () => memory.made(CUT_SHAPE, [id], { id, kind, guides, vein, borders, scrap, matrix, whole, covers }),
        () => ({ ...looseShape(id, kind, NOTHING), toCloth: matrix }),
      ),
    );
    const isCover = kind === 'area' && part.opaque && !liesOnTop(whole, piece.placement);
    if (piece.drawing.hidden === 'cut' && isCover && box) inFront.push({ id, region: whole.region, box });
  }
  return shapes.reverse();
}

/** A round area up to this wide is worked as one spot stitch, mm on the cloth. */
export const WIDEST_SPOT_MM = 4;
/** A circle encloses the most: an area that encloses at least this share of what its outline could is round. */
const ROUND_SHARE = 0.85;

/** Whether an area is so small and round that it is worked on top of what lies behind: an eye's glint cuts no hole. */
function liesOnTop({ region }: StitchShape, placement: Placement): boolean {
  const byScale = placement.scale / cuttingScale(placement);
  const areaMm2 = regionArea(region) * byScale ** 2;
  const round = (4 * Math.PI * regionArea(region)) / regionPerimeter(region) ** 2;
  return region.length === 1 && equalCircleMm(areaMm2) <= WIDEST_SPOT_MM && round >= ROUND_SHARE;
}

const NO_SPOTS = new Float64Array(0);

const NOTHING: StitchShape = { region: [], lines: [], spots: NO_SPOTS };

/** No hoop piece has a part that is larger than this, mm. */
export const LARGEST_PART_MM = 3000;

/** Whether a part is larger than any that could be worked: it is left out, as what it takes would be beyond measure. */
export function isTooLarge(part: Part, { scale }: Placement, memory = new Memory()): boolean {
  return memory.made(PATH_REACH, [part.id], part) * scale > LARGEST_PART_MM;
}

/** A part as it is before anything is cut from it. */
function wholeShape({ matrix, isLeftOut, ...part }: WholePart): StitchShape {
  if (isLeftOut) return NOTHING;
  const runs = flattenPath(part.path, chordsWithin(matrix));
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

function measured({ matrix, whole, covers, ...part }: CoveredPart): PlacedShape {
  const seen = cutBehind(whole, covers);
  // Cloth that is laid on keeps its shape below what is stitched on it, as long as any of it is seen.
  const shape = part.scrap && seen.region.length > 0 ? whole : seen;
  const laid = (path: string): Polyline[] =>
    flattenPath(path, chordsWithin(matrix)).map((run) => ({
      points: mapPoints(matrix, run.points),
      closed: run.closed,
    }));
  const further = {
    guides: part.guides.flatMap(laid),
    vein: part.vein === null ? null : (laid(part.vein)[0] ?? null),
    borders: part.borders.flatMap(laid),
    toCloth: matrix,
  };
  const isCut = isLess(shape, whole);
  const judged = isCut && part.kind === 'area' && isMostlyWhole(shape, whole, covers);
  return measuredShape(part.id, part.kind, shape, {
    ...further,
    behind: isLess(seen, whole) ? hiding(whole, covers) : [],
    whole: judged ? measuredShape(part.id, part.kind, whole, { ...further, behind: [], whole: null }) : null,
  });
}

/** What lies on an area hides less than this share of it, and leaves more than this share of its outline. */
const MOST_HIDDEN = 0.4;
const LEAST_OUTLINE = 0.7;

function isMostlyWhole(seen: StitchShape, whole: StitchShape, covers: readonly Cover[]): boolean {
  if (regionArea(seen.region) <= (1 - MOST_HIDDEN) * regionArea(whole.region)) return false;
  const outline = whole.region.map((points): Polyline => ({ points, closed: true }));
  const left = subtractFromLines(
    outline,
    covers.flatMap(({ region }) => region),
  );
  return lengthOf(left) > LEAST_OUTLINE * lengthOf(outline);
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
  // Each cover is sound by itself, so cut out together they are cut out one and all: there is no need to unite them first.
  const all = covers.flatMap((cover) => cover.region);
  const seenSpots: number[] = [];
  for (const [x, y] of placesOf(spots)) {
    const isHidden = covers.some((cover) => isInside(cover.region, x, y));
    if (!isHidden) seenSpots.push(x, y);
  }
  return {
    region: region.length > 0 ? subtract(region, all) : region,
    lines: lines.length > 0 ? subtractFromLines(lines, all) : lines,
    spots: Float64Array.from(seenSpots),
  };
}
