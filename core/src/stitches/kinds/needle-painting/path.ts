import { boxOf, InsideGrid, type Direction, type Region } from '../../../geometry/index.ts';
import { seededRandom, seedFrom } from '../../../measure/index.ts';
import type { PictureGuide, StitchContext, StitchShape } from '../../kind.ts';
import type { MoveSink } from '../../moves.ts';
import { rowsToDivide, type Row } from '../../shared/bands.ts';
import { nearestEndFirst } from '../../shared/fillOrder.ts';
import { neighbourhood } from '../../shared/neighbourhood.ts';

interface Lengths {
  readonly shortMm: number;
  readonly longMm: number;
  readonly spacingMm: number;
}

/** A stitch splits the last one this far from its end, as a share of its length. */
const SPLITS = 0.14;
/** How much the longest stitch differs from one to the next, so that no ends lie in a line. */
const UNEVEN = 0.25;
/** The picture along a row is looked at in steps of this, mm. */
const LOOK_MM = 0.4;
/** A stitch ends where the colour has moved so far from that of its beginning, CIELAB. */
const CHANGES = 7;
/** A stitch may leave its curved row by so many laid widths. */
const MOST_SAG = 0.3;
/** Stitches of one shade no further apart than so many distances of rows are worked in one go. */
const PATCH_ROWS = 1.6;

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
  const shades = context.picture?.shadesOf(stitches) ?? new Uint8Array(count);
  const { patchOf, patches } = patchesOf(stitches, shades, PATCH_ROWS * lengths.spacingMm);
  const members: number[][] = Array.from({ length: patches }, () => []);
  for (let i = 0; i < count; i++) members[patchOf[i]!]!.push(i);
  const byShade = new Map<number, number[]>();
  members.forEach((patch, k) => {
    const shade = shades[patch[0]!]!;
    const list = byShade.get(shade);
    if (list) list.push(k);
    else byShade.set(shade, [k]);
  });
  for (const [shade, list] of [...byShade].sort(([a], [b]) => a - b)) {
    sink.shade(shade);
    const ends = Float64Array.from(
      list.flatMap((k) => {
        const [first, last] = [members[k]![0]!, members[k]!.at(-1)!];
        return [stitches[4 * first]!, stitches[4 * first + 1]!, stitches[4 * last + 2]!, stitches[4 * last + 3]!];
      }),
    );
    for (const end of nearestEndFirst(ends)) {
      const patch = members[list[end >> 1]!]!;
      sink.travel();
      for (const i of end % 2 === 0 ? patch : patch.reverse()) {
        sink.stitch();
        sink.up(stitches[4 * i]!, stitches[4 * i + 1]!);
        sink.down(stitches[4 * i + 2]!, stitches[4 * i + 3]!);
      }
    }
  }
}

/** All stitches row by row, `x0, y0, x1, y1, …`. */
function divided(region: Region, lengths: Lengths, context: StitchContext): number[] {
  const flat: number[] = [];
  for (const row of rowsToDivide(region, context, lengths.spacingMm).flat()) {
    const random = seededRandom(seedFrom(context.seed, String(row.number)));
    let at = row.from;
    while (at < row.to - 1e-9) {
      const longest = lengths.longMm * (1 + random.between(-UNEVEN, 0));
      const to = endOf(row, at, longest, lengths, context);
      // It begins in the stitch before, and splits it.
      const from = at === row.from ? at : Math.max(row.from, at - SPLITS * Math.min(to - at, lengths.shortMm));
      flat.push(...row.at(from), ...row.at(to));
      at = to;
    }
  }
  return flat;
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
    const reach = (way: 1 | -1): number => {
      let mm = GAP_STITCH_MM / 2;
      while (mm > laidMm && !inside.has(x + way * mm * along.dx, y + way * mm * along.dy)) mm /= 2;
      return way * mm;
    };
    const [back, on] = [reach(-1), reach(1)];
    const stitch = [x + back * along.dx, y + back * along.dy, x + on * along.dx, y + on * along.dy] as const;
    if (!inside.has(stitch[0], stitch[1]) || !inside.has(stitch[2], stitch[3])) continue;
    cover(stitch);
    added.push(...stitch);
  }
  return added;
}

const here = new Float64Array(3);
const mean = new Float64Array(3);

/** Where a stitch that begins at a length along its row ends: where the picture changes, the row bends, or the thread is long enough. */
function endOf(
  { at, to, sagMm }: Row,
  from: number,
  longest: number,
  { shortMm }: Lengths,
  { picture, laidMm }: StitchContext,
): number {
  if (to - from <= shortMm * 1.5) return to;
  let end = Math.min(to, from + longest);
  if (sagMm !== null) end = from + withinSag(at, from, end - from, MOST_SAG * laidMm, shortMm);
  if (picture) end = whereItChanges(picture, at, from, end, shortMm);
  // What would be left is too short for a stitch of its own.
  return to - end < shortMm * 0.5 ? to : end;
}

/** The longest stretch whose chord stays near its row. */
function withinSag(at: Row['at'], from: number, length: number, sagMm: number, shortest: number): number {
  let stretch = length;
  while (stretch > shortest) {
    const [[ax, ay], [mx, my], [bx, by]] = [at(from), at(from + stretch / 2), at(from + stretch)];
    if (Math.hypot(mx - (ax + bx) / 2, my - (ay + by) / 2) <= sagMm) break;
    stretch *= 0.8;
  }
  return Math.min(length, Math.max(shortest, stretch));
}

function whereItChanges(picture: PictureGuide, at: Row['at'], from: number, end: number, shortMm: number): number {
  mean.fill(0);
  let seen = 0;
  for (let u = from; u <= end; u += LOOK_MM) {
    const [x, y] = at(u);
    picture.colourAt(x, y, here);
    if (u - from >= shortMm) {
      const away = Math.hypot(here[0]! - mean[0]! / seen, here[1]! - mean[1]! / seen, here[2]! - mean[2]! / seen);
      if (away > CHANGES) return u;
    }
    for (let k = 0; k < 3; k++) mean[k]! += here[k]!;
    seen++;
  }
  return end;
}

/** Which stitches of one shade lie together: the patch of each. */
function patchesOf(
  stitches: Float32Array,
  shades: Uint8Array,
  reachMm: number,
): { patchOf: Int32Array; patches: number } {
  const patchOf = new Int32Array(shades.length).fill(-1);
  const { firsts, others } = neighbourhood(stitches, reachMm);
  let patches = 0;
  for (let i = 0; i < shades.length; i++) {
    if (patchOf[i] !== -1) continue;
    const waiting = [i];
    patchOf[i] = patches;
    for (let next = waiting.pop(); next !== undefined; next = waiting.pop()) {
      for (let k = firsts[next]!; k < firsts[next + 1]!; k++) {
        const other = others[k]!;
        if (patchOf[other] !== -1 || shades[other] !== shades[i]) continue;
        patchOf[other] = patches;
        waiting.push(other);
      }
    }
    patches++;
  }
  return { patchOf, patches };
}
