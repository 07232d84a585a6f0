import {
  fieldRows,
  middleLine,
  NearestPoints,
  offset,
  reversedLine,
  polylineLength,
  regionArea,
  regionPerimeter,
  islandsOf,
  simplifyRegion,
  subtract,
  subtractFromLines,
  WOBBLE_MM,
  type FieldRowOptions,
  type Polyline,
  type Region,
  placesOf,
  placeAt,
} from '../../geometry/index.ts';
import type { StitchContext, StitchShape } from '../kind.ts';
import { nearestEndFirst } from './fillOrder.ts';
import { fillRows } from './fillRows.ts';

const NO_SPOTS = new Float64Array(0);

/** What decides how rows lie. */
export type RowDirection = Pick<StitchContext, 'angleRad' | 'field' | 'followsOutline' | 'outline'>;

/** A region as rows to be worked in a line stitch: to and fro along a direction or field, or round and round inward. */
export function rowsAsLines(
  region: Region,
  direction: RowDirection,
  spacingMm: number,
  options?: FieldRowOptions,
): StitchShape {
  return { region: [], lines: rowsOf(region, direction, spacingMm, options), spots: NO_SPOTS };
}

function rowsOf(region: Region, direction: RowDirection, spacingMm: number, options?: FieldRowOptions): Polyline[] {
  if (direction.followsOutline) return ringsWithin(region, direction.outline ?? region, spacingMm);
  if (direction.field) return toAndFro(fieldRows(region, direction.field, spacingMm, options));
  return straightRows(region, direction.angleRad, spacingMm);
}

function straightRows(region: Region, angleRad: number, spacingMm: number): Polyline[] {
  const { blocks, ux, uy } = fillRows(region, angleRad, spacingMm);
  const lines: Polyline[] = [];
  for (const { rows, count } of blocks) {
    for (let k = 0; k < count; k++) {
      const [left, right, v] = [rows[3 * k]!, rows[3 * k + 1]!, rows[3 * k + 2]!];
      const [from, to] = k % 2 === 0 ? [left, right] : [right, left];
      const points = Float64Array.of(from * ux - v * uy, from * uy + v * ux, to * ux - v * uy, to * uy + v * ux);
      lines.push({ points, closed: false });
    }
  }
  return lines;
}

/** More rings than this lie in nothing that fits a hoop. */
const MOST_RINGS = 2000;

/** A gap between rings is worth a line of its own from this size on, in squares of the distance of rows. */
const LEAST_GAP = 0.6;

/** Rings that follow an outline inward, as far as they lie in a region within it: those that are cut are worked to and fro. */
function ringsWithin(region: Region, outline: Region, spacingMm: number): Polyline[] {
  const rings = ringsInward(outline, spacingMm);
  if (outline === region) return rings;
  const seen = subtractFromLines(rings, subtract(outline, region));
  const isLongEnough = ({ points, closed }: Polyline): boolean =>
    closed || polylineLength({ points, closed }) > spacingMm;
  const [whole, cut] = [seen.filter(({ closed }) => closed), seen.filter((line) => !line.closed && isLongEnough(line))];
  return [...whole, ...toAndFro(cut)];
}

/** Rings that follow the outline inward; the gaps that they leave, in the middle and in necks, get a line along them. */
function ringsInward(region: Region, spacingMm: number): Polyline[] {
  const lines: Polyline[] = [];
  const outline = simplifyRegion(region, WOBBLE_MM);
  let ring: Region = offset(outline, -spacingMm / 2);
  lines.push(...linesInGaps(outline, ring, spacingMm));
  for (let i = 0; i < MOST_RINGS && ring.length > 0; i++) {
    lines.push(...ring.map((points) => ({ points, closed: true })));
    const inner = simplifyRegion(offset(ring, -spacingMm), WOBBLE_MM / 2);
    lines.push(...linesInGaps(offset(ring, -spacingMm / 2), inner, spacingMm));
    ring = inner;
  }
  return lines;
}

/** Lines along the middle of what thread on the rings does not reach. */
function linesInGaps(around: Region, rings: Region, spacingMm: number): Polyline[] {
  const gaps = rings.length > 0 ? subtract(around, offset(rings, spacingMm * 0.52)) : around;
  return islandsOf(gaps).flatMap((gap): Polyline[] => {
    if (regionArea(gap) <= LEAST_GAP * spacingMm * spacingMm) return [];
    if (gap.length > 1) return lineRound(gap);
    const middle = middleLine(gap);
    return middle ? [{ points: middle.points, closed: false }] : [];
  });
}

/** The line round in the middle of a gap that goes round, as where rings from outside meet those round a hole. */
function lineRound(gap: Region): Polyline[] {
  const meanWidthMm = (2 * regionArea(gap)) / regionPerimeter(gap);
  const outer = gap.slice(0, 1);
  return offset(outer, -meanWidthMm / 2).map((points) => ({ points, closed: true }));
}

/** Rows in the order of working, each from the end that is nearest to where the last one ended. */
export function toAndFro(rows: readonly Polyline[]): Polyline[] {
  const ends = Float64Array.from(rows.flatMap(({ points }) => [...placeAt(points, 0), ...placeAt(points, -1)]));
  return nearestEndFirst(ends).map((end) => {
    const row = rows[end >> 1]!;
    return end % 2 === 0 ? row : reversedLine(row);
  });
}

/** Rows in the order of working, all begun from the same side as their neighbours. */
export function sideBySide(rows: readonly Polyline[]): Polyline[] {
  const middles = Float64Array.from(
    rows.flatMap(({ points }) => [(points[0]! + points.at(-2)!) / 2, (points[1]! + points.at(-1)!) / 2]),
  );
  const waiting = new NearestPoints(middles);
  const order: Polyline[] = [];
  let [x, y] = farthestOut(middles);
  let [hx, hy] = [0, 0];
  for (let next = waiting.nearest(x, y); next !== null; next = waiting.nearest(x, y)) {
    waiting.remove(next);
    const row = rows[next]!;
    const [dx, dy] = [row.points.at(-2)! - row.points[0]!, row.points.at(-1)! - row.points[1]!];
    const isAgainst = dx * hx + dy * hy < 0;
    order.push(isAgainst ? reversedLine(row) : row);
    [hx, hy] = isAgainst ? [-dx, -dy] : [dx, dy];
    [x, y] = placeAt(middles, next);
  }
  return order;
}

/** The point farthest from the middle of all: where one can begin and not have to come back. */
function farthestOut(points: Float64Array): [x: number, y: number] {
  let [mx, my] = [0, 0];
  for (const [x, y] of placesOf(points)) [mx, my] = [mx + x / (points.length / 2), my + y / (points.length / 2)];
  let [x, y, far] = [mx, my, -1];
  for (const [px, py] of placesOf(points)) {
    const distance = Math.hypot(px - mx, py - my);
    if (distance > far) [x, y, far] = [px, py, distance];
  }
  return [x, y];
}
