import { group } from 'd3-array';
import { mean } from '../../measure/index.ts';
import {
  distanceToLines,
  fieldRows,
  lengthsOf,
  placeOn,
  reversedLine,
  type DirectionField,
  type Polyline,
  type Region,
} from '../../geometry/index.ts';
import type { MoveSink } from '../moves.ts';
import { isOwnWay } from '../ownWay.ts';
import { fillRows } from './fillRows.ts';
import type { Keeps, ShadeAt } from './shading.ts';
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
  /** Its row, and the block that its row belongs to, by their numbers; the share of its row at which it begins, and how long the row is. */
  readonly row: number;
  readonly block: number;
  readonly share: number;
  readonly rowMm: number;
}

export interface BandDirection {
  readonly angleRad: number;
  readonly field?: DirectionField | undefined;
}

/**
 * Works a filling block by block, each no wider than a hand surveys, and in a block band by band: all stitches of the first band across the rows,
 * to and fro, then the next. Each stitch goes the same way, and the thread comes back underneath. Where several shades are worked, one is finished
 * before the next.
 */
export function workBands(
  region: Region,
  direction: BandDirection,
  spacingMm: number,
  divide: DivideRow,
  sink: MoveSink,
  shadeAt?: ShadeAt,
  { halfDrop = false, keeps }: { halfDrop?: boolean; keeps?: Keeps | undefined } = {},
): void {
  const blocks = rowsToDivide(region, direction, spacingMm);
  const groups = blocks.map((rows) => bandsOf(rows, divide, shadeAt, blocksOf(rows, spacingMm), keeps));
  if (halfDrop) groups.forEach(dropByHalf);
  const shades = new Set(groups.flatMap((bands) => [...bands.values()].flat().map(({ shade }) => shade)));
  for (const shade of [...shades].sort((a, b) => a - b)) {
    sink.shade(shade);
    let needle: NeedleAt = null;
    for (const bands of groups) needle = writeBands(bands, shade, sink, needle);
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

/** A block of rows is no wider than this: as much as is seen at a glance and worked without moving the hand, mm. */
const BLOCK_MM = 10;
/** Rows of a block lie no further apart than this, in their distance; seen at places this far apart along them, mm. */
const BESIDE = 2.5;
const LOOK_MM = 2;

/** The number of the block of each row: a run of rows that lie side by side is divided evenly. */
function blocksOf(rows: readonly Row[], spacingMm: number): Uint16Array {
  const blocks = new Uint16Array(rows.length);
  const isCurved = rows.some(({ sagMm }) => sagMm !== null);
  let block = 0;
  for (let from = 0; from < rows.length; block++) {
    let to = from + 1;
    while (to < rows.length && (!isCurved || liesBeside(rows[to - 1]!, rows[to]!, BESIDE * spacingMm))) to++;
    const count = Math.ceil(((to - from) * spacingMm) / BLOCK_MM);
    for (let i = from; i < to; i++) blocks[i] = block + Math.floor(((i - from) * count) / (to - from));
    block += count - 1;
    from = to;
  }
  return blocks;
}

function liesBeside(a: Row, b: Row, nearMm: number): boolean {
  const line = { points: Float64Array.from(placesAlong(a).flat()), closed: false };
  return placesAlong(b).some(([x, y]) => distanceToLines([line], x, y) <= nearMm);
}

function placesAlong({ from, to, at }: Row): [x: number, y: number][] {
  const count = Math.max(1, Math.ceil((to - from) / LOOK_MM));
  return Array.from({ length: count + 1 }, (_, k) => at(from + ((to - from) * k) / count));
}

function bandsOf(
  rows: readonly Row[],
  divide: DivideRow,
  shadeAt: ShadeAt | undefined,
  blocks: ArrayLike<number>,
  keeps: Keeps | undefined,
): Bands {
  const bands: Bands = new Map();
  for (const [i, row] of rows.entries()) {
    const { number, at } = row;
    const block = blocks[i]!;
    const [startX, startY] = at(row.from);
    for (const { band, from, to } of divide(row.from, row.to, number)) {
      const pieces = row.sagMm === null ? 1 : piecesOf(at, from, to, row.sagMm);
      for (let piece = 0; piece < pieces; piece++) {
        const [start, end] = [from + ((to - from) * piece) / pieces, from + ((to - from) * (piece + 1)) / pieces];
        const [[x0, y0], [x1, y1]] = [at(start), at(end)];
        const middle = (start + end) / 2;
        const along = (middle - row.from) / (row.to - row.from);
        const shade = shadeAt?.(...at(middle), along, { x: startX, y: startY }, band) ?? 0;
        if (keeps && !keeps(number, shade)) continue;
        put(bands, band + piece / pieces, {
          x0,
          y0,
          x1,
          y1,
          shade,
          row: i,
          block,
          share: (start - row.from) / (row.to - row.from),
          rowMm: row.to - row.from,
        });
      }
    }
  }
  return bands;
}

/** Where the thread is: where it went down, and how long the stitch there is; null: it begins. */
type NeedleAt = { readonly x: number; readonly y: number; readonly lengthMm: number } | null;

/** Block by block, always on to the one that begins nearest. @returns where the thread ends */
function writeBands(bands: Bands, shade: number, sink: MoveSink, from: NeedleAt): NeedleAt {
  const ofShade = [...bands.values()].flat().filter((stitch) => stitch.shade === shade);
  const blocks = [...group(ofShade, (stitch) => stitch.block).values()].map(rowsOf);
  let needle = from;
  while (blocks.length > 0) {
    const ways = blocks.map((rows) => Math.min(...sidesOf(rows).map((row) => wayTo(needle, row.at(-1)!))));
    const [nearest] = blocks.splice(ways.indexOf(Math.min(...ways)), 1);
    needle = writeBlock(nearest!, sink, needle);
  }
  return needle;
}

/** The stitches of a block row by row, each row from its last to its first. */
function rowsOf(block: readonly PlacedStitch[]): PlacedStitch[][] {
  return [...group(block, ({ row }) => row)]
    .sort(([a], [b]) => a - b)
    .map(([, row]) => row.sort((a, b) => b.share - a.share));
}

const sidesOf = <Row>(rows: readonly Row[]): Row[] => [rows[0]!, rows.at(-1)!];

const wayTo = (needle: NeedleAt, { x0, y0 }: PlacedStitch): number =>
  needle ? Math.hypot(x0 - needle.x, y0 - needle.y) : 0;

/** No stitch is begun further ahead of the row that is furthest behind than this, in stitches: rows grow together. */
const AHEAD = 0.5;

/**
 * A block, to and fro across its rows: always on to the nearest stitch that can be worked, which is the next of its row and not far ahead of the
 * others. It begins at whichever side is nearer.
 */
function writeBlock(rows: PlacedStitch[][], sink: MoveSink, from: NeedleAt): NeedleAt {
  const block = rows.flat();
  const aheadMm = AHEAD * mean(block.map(lengthOf));
  let needle = from;
  for (let left = block.length; left > 0; left--) {
    const isFirst = left === block.length;
    const behind = rows.reduce((least, row) => Math.min(least, row.at(-1)?.share ?? 1), 1);
    let [best, wayMm] = [0, Infinity];
    rows.forEach((row, k) => {
      const stitch = row.at(-1);
      if (!stitch || (isFirst && k > 0 && k < rows.length - 1)) return;
      if (!isFirst && (stitch.share - behind) * stitch.rowMm > aheadMm) return;
      const way = wayTo(needle, stitch);
      if (way < wayMm) [best, wayMm] = [k, way];
    });
    const stitch = rows[best]!.pop()!;
    const lengthMm = lengthOf(stitch);
    if (!needle || !isOwnWay(wayMm, lengthMm, needle.lengthMm)) sink.travel();
    sink.stitch();
    sink.up(stitch.x0, stitch.y0);
    sink.down(stitch.x1, stitch.y1);
    needle = { x: stitch.x1, y: stitch.y1, lengthMm };
  }
  return needle;
}

const lengthOf = ({ x0, y0, x1, y1 }: PlacedStitch): number => Math.hypot(x1 - x0, y1 - y0);

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
  return {
    x0: half(a.x0, b.x0),
    y0: half(a.y0, b.y0),
    x1: half(a.x1, b.x1),
    y1: half(a.y1, b.y1),
    shade: b.shade,
    row: b.row,
    block: b.block,
    share: b.share,
    rowMm: b.rowMm,
  };
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
