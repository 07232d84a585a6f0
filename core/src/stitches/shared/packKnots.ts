import {
  boxOf,
  isInside,
  lengthsOf,
  offset,
  placeOn,
  simplifyRegion,
  wayRound,
  WOBBLE_MM,
  type Region,
} from '../../geometry/index.ts';
import type { StitchContext, StitchShape } from '../kind.ts';
import type { MoveSink } from '../moves.ts';
import { workKnot } from './knot.ts';
import { knotDiameterMm } from './knotSize.ts';

/** More rows inward than this no area takes. */
const MOST_ROWS = 400;

/** Knots along the edge first, then row by row inward; where only a gap is left, a smaller knot. */
export function packKnots(
  { region }: StitchShape,
  { wraps, gapWraps, closeness }: { wraps: number; gapWraps: number; closeness: number },
  { coreMm, bundleMm }: StitchContext,
  sink: MoveSink,
): void {
  const turns = Math.round(wraps);
  const across = knotDiameterMm(turns, bundleMm, coreMm);
  const pitch = across * closeness;
  const knots: Knot[] = [];
  const outline = simplifyRegion(region, WOBBLE_MM);
  let row: Region = offset(outline, -across / 2);
  for (let i = 0; i < MOST_ROWS && row.length > 0; i++) {
    for (const ring of row) {
      for (const [x, y] of evenly(ring, pitch)) knots.push({ x, y, turns, across });
    }
    row = simplifyRegion(offset(row, -pitch * ROW_CLOSENESS), WOBBLE_MM / 2);
  }
  const gaps =
    closeness <= MOST_CLOSED ? gapsBetween(outline, knots, knotDiameterMm(gapWraps, bundleMm, coreMm), gapWraps) : [];
  for (const knot of [...knots, ...gaps]) workKnot(knot.x, knot.y, knot.turns, coreMm, sink);
}

interface Knot {
  readonly x: number;
  readonly y: number;
  readonly turns: number;
  readonly across: number;
}

/** Rows lie in the hollows of the last, so they come a little closer than the knots of a row. */
const ROW_CLOSENESS = 0.92;
/** Knots that are wanted further apart than this leave their gaps open. */
const MOST_CLOSED = 1.1;
/** Among more knots than this nobody looks for gaps. */
const MOST_WITH_GAPS = 20_000;
/** A gap takes a small knot when the knots around it are pressed aside by no more than this. */
const PRESSED = 0.8;

/** Small knots for the gaps that are left between others, nearest to the start first. */
function gapsBetween(region: Region, knots: readonly Knot[], smallMm: number, turns: number): Knot[] {
  const inner = offset(region, -smallMm / 2);
  const box = boxOf(inner);
  if (!box || knots.length === 0 || knots.length > MOST_WITH_GAPS) return [];
  const cellMm = Math.max(...knots.map(({ across }) => across));
  const cells = new Map<string, Knot[]>();
  const cellOf = (x: number, y: number): [number, number] => [Math.floor(x / cellMm), Math.floor(y / cellMm)];
  const put = (knot: Knot): void => {
    const key = cellOf(knot.x, knot.y).join();
    cells.set(key, [...(cells.get(key) ?? []), knot]);
  };
  knots.forEach(put);
  const hasRoom = (x: number, y: number): boolean => {
    const [column, row] = cellOf(x, y);
    for (let c = column - 1; c <= column + 1; c++) {
      for (let r = row - 1; r <= row + 1; r++) {
        for (const other of cells.get(`${c},${r}`) ?? []) {
          if (Math.hypot(other.x - x, other.y - y) < ((other.across + smallMm) / 2) * PRESSED) return false;
        }
      }
    }
    return true;
  };
  const gaps: Knot[] = [];
  const step = smallMm / 4;
  for (let y = box.minY; y <= box.maxY; y += step) {
    for (let x = box.minX; x <= box.maxX; x += step) {
      if (!hasRoom(x, y) || !isInside(inner, x, y)) continue;
      const knot = { x, y, turns, across: smallMm };
      gaps.push(knot);
      put(knot);
    }
  }
  return gaps;
}

/** Places on a ring, evenly apart whatever its corners; a ring too short for two has one in its middle. */
function evenly(ring: Float64Array, pitchMm: number): [x: number, y: number][] {
  const way = wayRound(ring);
  const lengths = lengthsOf(way);
  const length = lengths.at(-1)!;
  const count = Math.floor(length / pitchMm + 0.1);
  if (count < 2) {
    const box = boxOf([ring])!;
    return [[(box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2]];
  }
  return Array.from({ length: count }, (_, i) => placeOn(way, lengths, (i * length) / count));
}
