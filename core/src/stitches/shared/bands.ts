import { fieldRows, type DirectionField, type Polyline, type Region } from '../../geometry/index.ts';
import type { MoveSink } from '../moves.ts';
import { fillRows } from './fillRows.ts';
import { lengthsOf, placeOn, reversedLine, sideBySide } from './rowsAsLines.ts';

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
  const groups = direction.field
    ? [bandsAlong(region, direction.field, spacingMm, divide, shadeAt)]
    : bandsAcross(region, direction.angleRad, spacingMm, divide, shadeAt);
  if (halfDrop) groups.forEach(dropByHalf);
  const shades = new Set(
    shadeAt ? groups.flatMap((bands) => [...bands.values()].flat().map(({ shade }) => shade)) : [0],
  );
  for (const shade of [...shades].sort((a, b) => a - b)) {
    if (shadeAt) sink.shade(shade);
    for (const bands of groups) writeBands(bands, shadeAt ? shade : null, sink);
  }
}

type Bands = Map<number, PlacedStitch[]>;

function put(bands: Bands, band: number, stitch: PlacedStitch): void {
  const list = bands.get(band);
  if (list) list.push(stitch);
  else bands.set(band, [stitch]);
}

function bandsAcross(
  region: Region,
  angleRad: number,
  spacingMm: number,
  divide: DivideRow,
  shadeAt?: ShadeAt,
): Bands[] {
  const { blocks, ux, uy } = fillRows(region, angleRad, spacingMm);
  return blocks.map(({ rows, count }) => {
    const bands: Bands = new Map();
    for (let k = 0; k < count; k++) {
      const [u0, u1, v] = [rows[3 * k]!, rows[3 * k + 1]!, rows[3 * k + 2]!];
      for (const { band, from, to } of divide(u0, u1, Math.round(v / spacingMm))) {
        const middle = (from + to) / 2;
        const shade =
          shadeAt?.(middle * ux - v * uy, middle * uy + v * ux, (middle - u0) / (u1 - u0), {
            x: u0 * ux - v * uy,
            y: u0 * uy + v * ux,
          }) ?? 0;
        put(bands, band, {
          x0: from * ux - v * uy,
          y0: from * uy + v * ux,
          x1: to * ux - v * uy,
          y1: to * uy + v * ux,
          shade,
        });
      }
    }
    return bands;
  });
}

function bandsAlong(
  region: Region,
  field: DirectionField,
  spacingMm: number,
  divide: DivideRow,
  shadeAt?: ShadeAt,
): Bands {
  const bands: Bands = new Map();
  sideBySide(fieldRows(region, field, spacingMm))
    .map((row) => inSense(row, field))
    .forEach((row, k) => {
      const lengths = lengthsOf(row.points);
      const total = lengths.at(-1)!;
      const at = (mm: number): [number, number] => placeOn(row.points, lengths, mm);
      for (const { band, from, to } of divide(0, total, k)) {
        const pieces = piecesOf(at, from, to, MOST_SAG * spacingMm);
        for (let piece = 0; piece < pieces; piece++) {
          const [start, end] = [from + ((to - from) * piece) / pieces, from + ((to - from) * (piece + 1)) / pieces];
          const [[x0, y0], [x1, y1], [mx, my]] = [at(start), at(end), at((start + end) / 2)];
          const shade = shadeAt?.(mx, my, (start + end) / 2 / total, { x: row.points[0]!, y: row.points[1]! }) ?? 0;
          put(bands, band + piece / pieces, { x0, y0, x1, y1, shade });
        }
      }
    });
  return bands;
}

function writeBands(bands: Bands, shade: number | null, sink: MoveSink): void {
  let isBack = false;
  for (const number of [...bands.keys()].sort((a, b) => a - b)) {
    const all = bands.get(number)!;
    const band = shade === null ? all : all.filter((stitch) => stitch.shade === shade);
    if (band.length === 0) continue;
    sink.travel();
    for (const { x0, y0, x1, y1 } of isBack ? [...band].reverse() : band) {
      sink.stitch();
      sink.up(x0, y0);
      sink.down(x1, y1);
    }
    isBack = !isBack;
  }
}

/** Every second band is moved over by half a stitch, into the gaps between the ends of the last. */
function dropByHalf(bands: Bands): void {
  for (const [number, band] of bands) {
    if (number % 2 === 0) continue;
    const between = band.slice(1).map((stitch, i): PlacedStitch => {
      const last = band[i]!;
      const half = (a: number, b: number): number => (a + b) / 2;
      return {
        x0: half(last.x0, stitch.x0),
        y0: half(last.y0, stitch.y0),
        x1: half(last.x1, stitch.x1),
        y1: half(last.y1, stitch.y1),
        shade: stitch.shade,
      };
    });
    const gapMm = (a: PlacedStitch, b: PlacedStitch): number => Math.hypot(a.x0 - b.x0, a.y0 - b.y0);
    const usual =
      between.length > 0
        ? between.map((_, i) => gapMm(band[i]!, band[i + 1]!)).sort((a, b) => a - b)[between.length >> 1]!
        : 0;
    // Where a band breaks off and begins again there is no gap to go into: those stitches stay.
    const kept = between.filter((_, i) => gapMm(band[i]!, band[i + 1]!) < usual * 2);
    const ends = band.filter(
      (stitch, i) => i === 0 || i === band.length - 1 || gapMm(band[i - 1]!, stitch) >= usual * 2,
    );
    bands.set(number, [...(ends[0] ? [ends[0]] : []), ...kept, ...ends.slice(1)]);
  }
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
