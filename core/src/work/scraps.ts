import type { PlacedShape } from '../drawing/index.ts';
import {
  boxesMeet,
  boxOf,
  flattenPath,
  intersect,
  mapPoints,
  regionArea,
  unite,
  type Matrix,
  type Region,
} from '../geometry/index.ts';
import { clothOf, type ClothId } from '../materials/index.ts';
import { Memory, stage } from '../measure/index.ts';
import type { Part } from '../piece/index.ts';

/** Running stitches lie so far inside a raw edge, mm. */
const RAW_INSET_MM = 2;
/** Less than this lies upon a scrap only by its edge, mm². */
const LIES_UPON_MM2 = 1;

/** What covers the cloth. */
export interface Covering {
  /** Its place from back to front. */
  readonly depth: number;
  readonly region: Region;
}

/** A scrap of cloth as it lies, whole: what lies upon it hides it, and does not cut it. */
export interface LaidScrap extends Covering {
  readonly thicknessMm: number;
  /** Its kind of cloth; null: print. */
  readonly cloth: ClothId | null;
}

/** Curves are drawn as straight pieces no further from them than this on the drawing, mm. */
const FLAT_MM = 0.02;

interface DrawnOnCloth extends Pick<Part, 'path' | 'fillRule'> {
  readonly toCloth: Matrix;
}

export const WHOLE_REGION = stage<DrawnOnCloth>()(
  'whole region',
  ['path', 'fillRule', 'toCloth'],
  ({ path, fillRule, toCloth }) =>
    unite(
      flattenPath(path, FLAT_MM).map(({ points }) => mapPoints(toCloth, points)),
      fillRule,
    ),
);

/** The whole outline of a part as it lies on the cloth, whatever hides it. */
export function wholeRegion({ id, path, fillRule }: Part, { toCloth }: PlacedShape, memory: Memory): Region {
  return memory.made(WHOLE_REGION, [id], { path, fillRule, toCloth });
}

/** The scraps and printed areas of a piece, from back to front; print has no thickness. */
export function laidScraps(parts: readonly Part[], shapes: readonly PlacedShape[], memory = new Memory()): LaidScrap[] {
  return parts.flatMap((part, depth) => {
    const placed = shapes[depth];
    if ((!part.scrap && !part.printed) || !part.shown || !placed) return [];
    const thicknessMm = part.scrap ? clothOf(part.scrap.cloth).thicknessMm : 0;
    return [{ depth, region: wholeRegion(part, placed, memory), thicknessMm, cloth: part.scrap?.cloth ?? null }];
  });
}

/** The place from back to front of what a part lies upon, the topmost of several; null: the cloth itself. */
export function topmostBelow(covering: readonly Covering[], placed: PlacedShape, depth: number): number | null {
  return covering.findLast((one) => one.depth < depth && liesUpon(placed, one.region))?.depth ?? null;
}

/** What a needle goes through where a part lies: how thick all scraps are that it is of or lies upon, mm, and the heaviest cloth of all. */
export function layersBelow(
  scraps: readonly LaidScrap[],
  placed: PlacedShape,
  depth: number,
  ground: ClothId,
): { readonly mm: number; readonly heaviest: ClothId } {
  let [mm, heaviest] = [0, ground];
  for (const { depth: own, region, thicknessMm, cloth } of scraps) {
    if (cloth === null || own > depth || (own < depth && !liesUpon(placed, region))) continue;
    mm += thicknessMm;
    if (clothOf(cloth).weightGsm > clothOf(heaviest).weightGsm) heaviest = cloth;
  }
  return { mm, heaviest };
}

function liesUpon({ box, shape }: PlacedShape, region: Region): boolean {
  const below = boxOf(region);
  if (!box || !below || !boxesMeet(box, below)) return false;
  if (shape.region.length > 0) return regionArea(intersect(shape.region, region)) > LIES_UPON_MM2;
  return [...shape.lines.map(({ points }) => points), shape.spots].some((points) => touches(region, points));
}

/** Whether the middle of some places lies in a region. */
function touches(region: Region, points: Float64Array): boolean {
  if (points.length === 0) return false;
  const middle = (points.length >> 2) * 2;
  const dot = 0.05;
  const [x, y] = [points[middle]!, points[middle + 1]!];
  const square = Float64Array.of(x - dot, y - dot, x + dot, y - dot, x + dot, y + dot, x - dot, y + dot);
  return regionArea(intersect(region, [square])) > 0;
}

/** How far inside its outline the edge of a part is worked, mm; null: as its thread asks for. */
export function edgeInsetOf({ scrap }: Part): number | null {
  return scrap?.edge === 'raw' ? RAW_INSET_MM : null;
}
