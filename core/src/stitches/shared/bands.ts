import { valueOf } from '../../measure/index.ts';
import {
  fieldRows,
  lengthsOf,
  placeOn,
  reversedLine,
  type DirectionField,
  type Polyline,
  type Region,
} from '../../geometry/index.ts';
import type { MoveSink } from '../moves.ts';
import { fillRows } from './fillRows.ts';
import { sideBySide } from './rowsAsLines.ts';

/** One stitch of a row: its band and where it begins and ends along the row. */
export interface BandStitch {
  readonly band: number;
  readonly from: number;
  readonly to: number;
}

/** Divides the row `row` of a filling, from u0 to u1, into stitches. */
export type DivideRow = (u0: number, u1: number, row: number) => readonly BandStitch[];

/** One stitch of a band, where it lies on the cloth. */
interface PlacedStitch {
  readonly x0: number;
  readonly y0: number;
  readonly x1: number;
  readonly y1: number;
  readonly shade: number;
}

/** In which shade a stitch is worked, by where its middle lies and which share of the way along its row that is. */
export type ShadeAt = (x: number, y: number, along: number, row: { x: number; y: number }) => number;

export interface BandDirection {
  readonly angleRad: number;
  readonly field?: DirectionField | undefined;
}

/**
 * Works a filling band by band: all stitches of the first band across the rows, to and fro, then the next. Each stitch goes
 * the same way, and the thread comes back underneath. Where several shades are worked, one is finished before the next.
 */
export function workBands(
  region: Region,
  direction: BandDirection,
  spacingMm: number,
  divide: DivideRow,
  sink: MoveSink,
  shadeAt?: ShadeAt,
  { halfDrop = false }: { halfDrop?: boolean } = {},
): void {
  const blocks = rowsToDivide(region, direction, spacingMm);
  const groups = blocks.map((rows) => bandsOf(rows, divide, shadeAt));
  if (halfDrop) groups.forEach(dropByHalf);
  const shades = new Set(groups.flatMap((bands) => [...bands.values()].flat().map(({ shade }) => shade)));
  for (const shade of [...shades].sort((a, b) => a - b)) {
    sink.shade(shade);
    for (const bands of groups) writeBands(bands, shade, sink);
  }
}

/** The rows of a filling, block by block, each ready to be divided into stitches. */
export function rowsToDivide(region: Region, direction: BandDirection, spacingMm: number): readonly (readonly Row[])[] {
  return direction.field
    ? [curvedRows(region, direction.field, spacingMm)]
    : straightRows(region, direction.angleRad, spacingMm);
}

type Bands = Map<number, PlacedStitch[]>;

function put(bands: Bands, band: number, stitch: PlacedStitch): void {
  const list = bands.get(band);
  if (list) list.push(stitch);
  else bands.set(band, [stitch]);
}

/** A row to be divided into stitches. */
export interface Row {
  readonly number: number;
  readonly from: number;
  readonly to: number;
  /** The place on the cloth at a length along it. */
  at(u: number): [x: number, y: number];
  /** How far a stitch may leave it, mm, before it is worked as several shorter ones; null: it is straight. */
  readonly sagMm: number | null;
}

function straightRows(region: Region, angleRad: number, spacingMm: number): Row[][] {
  const { blocks, ux, uy } = fillRows(region, angleRad, spacingMm);
  return blocks.map(({ rows, count }) =>
    Array.from({ length: count }, (_, k) => {
      const v = rows[3 * k + 2]!;
      return {
        number: Math.round(v / spacingMm),
        from: rows[3 * k]!,
        to: rows[3 * k + 1]!,
        at: (u) => [u * ux - v * uy, u * uy + v * ux],
        sagMm: null,
      };
    }),
  );
}

function curvedRows(region: Region, field: DirectionField, spacingMm: number): Row[] {
  return sideBySide(fieldRows(region, field, spacingMm)).map((row, number) => {
    const { points } = inSense(row, field);
    const lengths = lengthsOf(points);
    return {
      number,
      from: 0,
      to: lengths.at(-1)!,
      at: (mm) => placeOn(points, lengths, mm),
      sagMm: MOST_SAG * spacingMm,
    };
  });
}

function bandsOf(rows: readonly Row[], divide: DivideRow, shadeAt: ShadeAt | undefined): Bands {
  const bands: Bands = new Map();
  for (const row of rows) {
    const { number, at } = row;
    const [startX, startY] = at(row.from);
    for (const { band, from, to } of divide(row.from, row.to, number)) {
      const pieces = row.sagMm === null ? 1 : piecesOf(at, from, to, row.sagMm);
      for (let piece = 0; piece < pieces; piece++) {
        const [start, end] = [from + ((to - from) * piece) / pieces, from + ((to - from) * (piece + 1)) / pieces];
        const [[x0, y0], [x1, y1]] = [at(start), at(end)];
        const middle = (start + end) / 2;
        const along = (middle - row.from) / (row.to - row.from);
        const shade = shadeAt?.(...at(middle), along, { x: startX, y: startY }) ?? 0;
        put(bands, band + piece / pieces, { x0, y0, x1, y1, shade });
      }
    }
  }
  return bands;
}

function writeBands(bands: Bands, shade: number, sink: MoveSink): void {
  let isBack = false;
  for (const number of [...bands.keys()].sort((a, b) => a - b)) {
    const band = valueOf(bands, number).filter((stitch) => stitch.shade === shade);
    if (band.length === 0) continue;
    sink.travel();
    for (const { x0, y0, x1, y1 } of isBack ? band.reverse() : band) {
      sink.stitch();
      sink.up(x0, y0);
      sink.down(x1, y1);
    }
    isBack = !isBack;
  }
}

/** A gap between neighbours that is wider than usual by this factor is where a band breaks off and begins again. */
const BREAKS_OFF = 2;

/** Every second band is moved over by half a stitch, into the gaps between the ends of the last. */
function dropByHalf(bands: Bands): void {
  for (const [number, band] of bands) {
    const [first, ...others] = band;
    if (number % 2 === 0 || !first || others.length === 0) continue;
    const gaps = others.map(({ x0, y0 }, i) => Math.hypot(band[i]!.x0 - x0, band[i]!.y0 - y0));
    const usual = [...gaps].sort((a, b) => a - b)[gaps.length >> 1]!;
    const isBreak = (i: number): boolean => gaps[i]! >= usual * BREAKS_OFF;
    const between = others.flatMap((stitch, i) => (isBreak(i) ? [] : [halfWay(band[i]!, stitch)]));
    // Where there is no gap to go into, and at the end, stitches stay.
    const ends = others.filter((_, i) => i === others.length - 1 || isBreak(i));
    bands.set(number, [first, ...between, ...ends]);
  }
}

function halfWay(a: PlacedStitch, b: PlacedStitch): PlacedStitch {
  const half = (one: number, other: number): number => (one + other) / 2;
  return { x0: half(a.x0, b.x0), y0: half(a.y0, b.y0), x1: half(a.x1, b.x1), y1: half(a.y1, b.y1), shade: b.shade };
}

/** A stitch on a curved row may leave it by this share of the distance of rows; else it is worked as several shorter ones. */
const MOST_SAG = 0.2;
const MOST_PIECES = 8;

/** In how many stitches a stretch of a row is worked, so that none leaves the row too far. */
function piecesOf(at: (mm: number) => [number, number], from: number, to: number, sagMm: number): number {
  const [[ax, ay], [mx, my], [bx, by]] = [at(from), at((from + to) / 2), at(to)];
  const sag = Math.hypot(mx - (ax + bx) / 2, my - (ay + by) / 2);
  // The sag falls with the square of the number of pieces.
  return Math.min(MOST_PIECES, Math.max(1, Math.ceil(Math.sqrt(sag / sagMm))));
}

/** A row begun at the end from which the field runs. */
function inSense(row: Polyline, field: DirectionField): Polyline {
  const { points } = row;
  const middle = 2 * (points.length >> 2);
  const [sx, sy] = field.senseAt(points[middle]!, points[middle + 1]!);
  const isAgainst = (points.at(-2)! - points[0]!) * sx + (points.at(-1)! - points[1]!) * sy < 0;
  return isAgainst ? reversedLine(row) : row;
}
