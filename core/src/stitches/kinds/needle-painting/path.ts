import { group } from 'd3-array';
import { boxOf, InsideGrid, NearestPoints, type Direction, type Region } from '../../../geometry/index.ts';
import { seededRandom, seedFrom } from '../../../measure/index.ts';
import type { PictureGuide, StitchContext, StitchShape } from '../../kind.ts';
import type { MoveSink } from '../../moves.ts';
import { rowsToDivide, type Row } from '../../shared/bands.ts';

interface Lengths {
  readonly shortMm: number;
  readonly longMm: number;
  readonly spacingMm: number;
}

/** A stitch splits the last one this far from its end, as a share of its length. */
const SPLITS = 0.14;
/** A row shorter than this many short stitches is one stitch. */
const SINGLE = 1.5;
/** The shortest stitch, as a share of a short one. */
const LEAST_SHARE = 0.75;
/** The picture along a row is looked at in steps of this, mm. */
const LOOK_MM = 0.4;
/** What a stitch costs, as unlikeness of colour within one, CIELAB squared over mm. */
const PRICE = 120;
/** By which share of it that differs from place to place. */
const UNEVEN = 0.5;
/** How far a stitch may leave its curved row, in laid widths. */
const MOST_SAG = 0.3;

/** Rows that turn come nearer to each other here than there: laid this much further apart they are as dense as straight ones. */
const CURVED_APART = 1.15;

/** How much of the work is done when its rows are laid, divided, shaded; 0–1. */
const DONE = { rows: 0.4, divided: 0.7, shaded: 0.9 } as const;

/**
 * Rows along the lie of the hair, divided where the picture changes, each stitch in the shade that is there; worked shade by shade, patch by
 * patch. Without a picture, rows of long stitches in one shade.
 */
export function workNeedlePainting(
  { region }: StitchShape,
  lengths: Lengths,
  context: StitchContext,
  sink: MoveSink,
): void {
  const rows = divided(region, lengths, context);
  const stitches = Float32Array.from([...rows, ...fillingGaps(region, rows, context)]);
  const count = stitches.length / 4;
  context.tell?.(DONE.divided);
  const shades = context.picture?.shadesOf(stitches) ?? new Uint8Array(count);
  context.tell?.(DONE.shaded);
  const byShade = group(
    Array.from({ length: count }, (_, i) => i),
    (i) => shades[i]!,
  );
  for (const [shade, members] of [...byShade].sort(([a], [b]) => a - b)) {
    sink.shade(shade);
    sink.travel();
    for (const i of nearestStartFirst(stitches, members)) {
      sink.stitch();
      sink.up(stitches[4 * i]!, stitches[4 * i + 1]!);
      sink.down(stitches[4 * i + 2]!, stitches[4 * i + 3]!);
    }
  }
}

/** Stitches in the order of working: from where one goes down always on to the nearest place where another that is left comes up. */
function nearestStartFirst(stitches: Float32Array, members: readonly number[]): number[] {
  const starts = Float64Array.from(members.flatMap((i) => [stitches[4 * i]!, stitches[4 * i + 1]!]));
  const waiting = new NearestPoints(starts);
  const order: number[] = [];
  for (let next: number | null = 0; next !== null;) {
    const stitch = members[next]!;
    order.push(stitch);
    waiting.remove(next);
    next = waiting.nearest(stitches[4 * stitch + 2]!, stitches[4 * stitch + 3]!);
  }
  return order;
}

/** All stitches row by row, `x0, y0, x1, y1, …`. */
function divided(region: Region, lengths: Lengths, context: StitchContext): number[] {
  const flat: number[] = [];
  const rows = rowsToDivide(region, context, lengths.spacingMm * (context.field ? CURVED_APART : 1)).flat();
  rows.forEach((row, k) => {
    context.tell?.(DONE.rows + ((DONE.divided - DONE.rows) * k) / rows.length);
    let at = row.from;
    for (const to of endsIn(row, lengths, context)) {
      // It begins in the stitch before, and splits it.
      const from = at === row.from ? at : Math.max(row.from, at - SPLITS * Math.min(to - at, lengths.shortMm));
      flat.push(...row.at(from), ...row.at(to));
      at = to;
    }
  });
  return flat;
}

/**
 * Where the stitches of a row end: of all ways to divide it, the one whose stitches are most of one colour each, at a price for every
 * stitch (dynamic programming over the places at which the picture is looked at).
 */
function endsIn(row: Row, lengths: Lengths, { picture, laidMm, seed }: StitchContext): number[] {
  const length = row.to - row.from;
  if (length <= 0) return [];
  if (length < SINGLE * lengths.shortMm) return [row.to];
  const count = Math.max(2, Math.round(length / LOOK_MM));
  const stepMm = length / count;
  const { xy, sums, squares } = lookedAt(row, count, picture);
  const random = seededRandom(seedFrom(seed, String(row.number)));
  const least = Math.max(1, Math.round((LEAST_SHARE * lengths.shortMm) / stepMm));
  const most = Math.max(least, Math.round(lengths.longMm / stepMm));
  const best = new Float64Array(count + 1).fill(Infinity);
  const before = new Int32Array(count + 1).fill(-1);
  best[0] = 0;
  for (let j = least; j <= count; j++) {
    // Ends are not wanted in a line: here one costs a little more, there a little less.
    const price = PRICE * (1 + random.between(-UNEVEN, UNEVEN));
    for (let i = Math.max(0, j - most); i <= j - least; i++) {
      if (best[i] === Infinity || (row.sagMm !== null && sagOf(xy, i, j) > MOST_SAG * laidMm && j - i > least))
        continue;
      let spread = squares[j]! - squares[i]!;
      for (let k = 0; k < 3; k++) spread -= (sums[3 * j + k]! - sums[3 * i + k]!) ** 2 / (j - i);
      const cost = best[i]! + price + spread * stepMm;
      if (cost < best[j]!) [best[j], before[j]] = [cost, i];
    }
  }
  if (best[count] === Infinity) return evenly(row, Math.ceil(length / lengths.shortMm));
  const ends: number[] = [];
  for (let j = count; j > 0; j = before[j]!) ends.push(row.from + j * stepMm);
  return ends.reverse();
}

function evenly({ from, to }: Row, count: number): number[] {
  return Array.from({ length: count }, (_, k) => from + ((to - from) * (k + 1)) / count);
}

/** Evenly along a row: its places, and the sums of the picture's colours and their squares up to each. */
function lookedAt(
  row: Row,
  count: number,
  picture: PictureGuide | undefined,
): { xy: Float64Array; sums: Float64Array; squares: Float64Array } {
  const xy = new Float64Array(2 * (count + 1));
  const sums = new Float64Array(3 * (count + 1));
  const squares = new Float64Array(count + 1);
  const colour = new Float64Array(3);
  for (let i = 0; i <= count; i++) {
    const [x, y] = row.at(row.from + ((row.to - row.from) * i) / count);
    xy[2 * i] = x;
    xy[2 * i + 1] = y;
    if (i === 0) continue;
    // The colour of a stretch is that of its middle.
    picture?.colourAt((x + xy[2 * i - 2]!) / 2, (y + xy[2 * i - 1]!) / 2, colour);
    squares[i] = squares[i - 1]!;
    for (let k = 0; k < 3; k++) {
      sums[3 * i + k] = sums[3 * i - 3 + k]! + colour[k]!;
      squares[i]! += colour[k]! ** 2;
    }
  }
  return { xy, sums, squares };
}

/** How far a chord leaves its row in the middle, mm. */
function sagOf(xy: Float64Array, i: number, j: number): number {
  const m = (i + j) >> 1;
  return Math.hypot(xy[2 * m]! - (xy[2 * i]! + xy[2 * j]!) / 2, xy[2 * m + 1]! - (xy[2 * i + 1]! + xy[2 * j + 1]!) / 2);
}

/** Where rows part, cloth would show in slivers: a stitch of this length lies over each, mm. */
const GAP_STITCH_MM = 2;
/** Cells in which the cloth is looked for, to the width of a thread. */
const CELLS_A_WIDTH = 3;

/** Stitches over what the rows leave bare, each along the lie of what is beside it. */
function fillingGaps(region: Region, rows: readonly number[], { field, laidMm }: StitchContext): number[] {
  const box = boxOf(region);
  if (!field || !box) return [];
  const cellMm = laidMm / CELLS_A_WIDTH;
  const columns = Math.ceil((box.maxX - box.minX) / cellMm) + 1;
  const covered = new Uint8Array(columns * (Math.ceil((box.maxY - box.minY) / cellMm) + 1));
  const cover = ([ax, ay, bx, by]: readonly [number, number, number, number]): void => {
    const steps = Math.max(1, Math.ceil(Math.hypot(bx - ax, by - ay) / cellMm));
    const half = Math.floor(CELLS_A_WIDTH / 2);
    for (let k = 0; k <= steps; k++) {
      const column = Math.round((ax + ((bx - ax) * k) / steps - box.minX) / cellMm);
      const row = Math.round((ay + ((by - ay) * k) / steps - box.minY) / cellMm);
      for (let dr = -half; dr <= half; dr++) {
        for (let dc = -half; dc <= half; dc++) {
          const [c, r] = [column + dc, row + dr];
          if (c >= 0 && c < columns && r >= 0) covered[r * columns + c] = 1;
        }
      }
    }
  };
  for (let i = 0; i < rows.length; i += 4) cover([rows[i]!, rows[i + 1]!, rows[i + 2]!, rows[i + 3]!]);
  const inside = new InsideGrid(region, box, cellMm * CELLS_A_WIDTH);
  const along: Direction = { dx: 1, dy: 0 };
  const added: number[] = [];
  for (let cell = 0; cell < covered.length; cell++) {
    if (covered[cell]) continue;
    const [x, y] = [box.minX + (cell % columns) * cellMm, box.minY + Math.floor(cell / columns) * cellMm];
    if (!inside.has(x, y)) continue;
    field.directionAt(x, y, along);
    const back = -inside.reach(x, y, -along.dx, -along.dy, GAP_STITCH_MM / 2, laidMm);
    const on = inside.reach(x, y, along.dx, along.dy, GAP_STITCH_MM / 2, laidMm);
    const stitch = [x + back * along.dx, y + back * along.dy, x + on * along.dx, y + on * along.dy] as const;
    if (!inside.has(stitch[0], stitch[1]) || !inside.has(stitch[2], stitch[3])) continue;
    cover(stitch);
    added.push(...stitch);
  }
  return added;
}
