import { outlinesOf } from '../drawing/index.ts';
import { boxOf, flattenPath, isInside, type Polyline, type Region } from '../geometry/index.ts';
import type { StitchPath } from '../stitches/index.ts';
import { segmentsOf } from './judge.ts';

/** A patch that a person can follow: one shade, from border to border. */
export interface ShadePatch {
  /** Its place among the shades of the painting. */
  readonly shade: number;
  readonly outline: readonly Polyline[];
  /** Where its number stands: well inside it, mm on the cloth. */
  readonly x: number;
  readonly y: number;
  readonly areaMm2: number;
}

/** The size of the cells on which borders are looked for, in threads; they are drawn as smoothly as that. */
const CELL_WIDTHS = 2.5;
const SMOOTH_CELLS = 0.8;
/** Smaller patches are not marked: they are worked as the picture is seen, mm². */
const LEAST_MM2 = 8;
const ROUNDS = 2;
const NONE = -1;

/** The shades of a painting as patches with borders, as they are marked on the pattern. */
export function shadePatches(region: Region, path: StitchPath, laidMm: number): ShadePatch[] {
  const box = boxOf(region);
  if (!box || path.starts.length === 0) return [];
  const cellMm = CELL_WIDTHS * laidMm;
  const [columns, rows] = [
    Math.ceil((box.maxX - box.minX) / cellMm) + 2,
    Math.ceil((box.maxY - box.minY) / cellMm) + 2,
  ];
  const [x0, y0] = [box.minX - cellMm / 2, box.minY - cellMm / 2];
  const isIn = Uint8Array.from({ length: columns * rows }, (_, cell) =>
    isInside(region, x0 + ((cell % columns) + 0.5) * cellMm, y0 + (Math.floor(cell / columns) + 0.5) * cellMm) ? 1 : 0,
  );
  let shades = shadesByCell(
    path,
    isIn,
    columns,
    (x, y) => Math.floor((y - y0) / cellMm) * columns + Math.floor((x - x0) / cellMm),
  );
  for (let round = 0; round < ROUNDS; round++) shades = calmed(shades, isIn, columns, rows);
  const least = LEAST_MM2 / cellMm ** 2;
  for (const patch of patchesOf(shades, columns, rows)) {
    if (patch.length >= least) continue;
    const around = mostBeside(patch, shades, columns, rows);
    if (around !== NONE) for (const cell of patch) shades[cell] = around;
  }
  const patches = patchesOf(shades, columns, rows);
  const labels = new Int32Array(columns * rows).fill(NONE);
  patches.forEach((patch, label) => patch.forEach((cell) => (labels[cell] = label)));
  const outlines = outlinesOf(labels, columns, rows, SMOOTH_CELLS);
  return patches.map((patch, label) => {
    const outline = flattenPath(outlines.get(label) ?? '', 0.1).map(({ points }) => ({
      points: points.map((value, i) => (i % 2 ? y0 : x0) + value * cellMm),
      closed: true,
    }));
    const middle = deepest(patch, labels, columns);
    return {
      shade: shades[patch[0]!]!,
      outline,
      x: x0 + ((middle % columns) + 0.5) * cellMm,
      y: y0 + (Math.floor(middle / columns) + 0.5) * cellMm,
      areaMm2: patch.length * cellMm ** 2,
    };
  });
}

/** The shade of which most thread lies in each cell. */
function shadesByCell(
  path: StitchPath,
  isIn: Uint8Array,
  columns: number,
  cellAt: (x: number, y: number) => number,
): Int16Array {
  const votes = new Map<number, Map<number, number>>();
  const segments = segmentsOf(path);
  for (let i = 0; i < path.starts.length; i++) {
    const [ax, ay, bx, by] = segments.subarray(4 * i, 4 * i + 4) as unknown as [number, number, number, number];
    const steps = Math.max(1, Math.ceil(Math.hypot(bx - ax, by - ay) / 0.3));
    for (let k = 0; k <= steps; k++) {
      const cell = cellAt(ax + ((bx - ax) * k) / steps, ay + ((by - ay) * k) / steps);
      if (!isIn[cell]) continue;
      const own = votes.get(cell) ?? new Map<number, number>();
      votes.set(cell, own);
      own.set(path.shades[i]!, (own.get(path.shades[i]!) ?? 0) + 1);
    }
  }
  const shades = new Int16Array(isIn.length).fill(NONE);
  for (const [cell, own] of votes) shades[cell] = [...own].reduce((a, b) => (b[1] > a[1] ? b : a))[0];
  // A cell at the outline through which no stitch goes is of the shade beside it.
  for (let cell = 1; cell < shades.length - columns; cell++) {
    if (isIn[cell] && shades[cell] === NONE)
      shades[cell] = shades[cell - 1] === NONE ? shades[cell + columns]! : shades[cell - 1]!;
  }
  return shades;
}

/** Each cell as most of those about it are. */
function calmed(shades: Int16Array, isIn: Uint8Array, columns: number, rows: number): Int16Array {
  const next = shades.slice();
  for (let row = 1; row < rows - 1; row++) {
    for (let column = 1; column < columns - 1; column++) {
      const cell = row * columns + column;
      if (!isIn[cell]) continue;
      const count = new Map<number, number>();
      for (let dr = -1; dr <= 1; dr++) {
        for (let dc = -1; dc <= 1; dc++) {
          const shade = shades[cell + dr * columns + dc]!;
          if (shade !== NONE) count.set(shade, (count.get(shade) ?? 0) + (dr === 0 && dc === 0 ? 1.5 : 1));
        }
      }
      if (count.size > 0) next[cell] = [...count].reduce((a, b) => (b[1] > a[1] ? b : a))[0];
    }
  }
  return next;
}

/** The cells of each patch: of one shade, side by side. */
function patchesOf(shades: Int16Array, columns: number, rows: number): number[][] {
  const seen = new Uint8Array(shades.length);
  const patches: number[][] = [];
  for (let cell = 0; cell < shades.length; cell++) {
    if (seen[cell] || shades[cell] === NONE) continue;
    const patch = [cell];
    seen[cell] = 1;
    for (const here of patch) {
      for (const other of besideOf(here, columns, rows)) {
        if (seen[other] || shades[other] !== shades[cell]) continue;
        seen[other] = 1;
        patch.push(other);
      }
    }
    patches.push(patch);
  }
  return patches;
}

function besideOf(cell: number, columns: number, rows: number): number[] {
  const column = cell % columns;
  const beside: number[] = [];
  if (column > 0) beside.push(cell - 1);
  if (column < columns - 1) beside.push(cell + 1);
  if (cell >= columns) beside.push(cell - columns);
  if (cell < columns * (rows - 1)) beside.push(cell + columns);
  return beside;
}

/** The shade that lies along most of a patch's border. */
function mostBeside(patch: readonly number[], shades: Int16Array, columns: number, rows: number): number {
  const own = shades[patch[0]!]!;
  const count = new Map<number, number>();
  for (const cell of patch) {
    for (const other of besideOf(cell, columns, rows)) {
      const shade = shades[other]!;
      if (shade !== NONE && shade !== own) count.set(shade, (count.get(shade) ?? 0) + 1);
    }
  }
  return count.size === 0 ? NONE : [...count].reduce((a, b) => (b[1] > a[1] ? b : a))[0];
}

/** The cell of a patch that lies furthest from its border, by rings of neighbours. */
function deepest(patch: readonly number[], labels: Int32Array, columns: number): number {
  const label = labels[patch[0]!]!;
  let layer = [...patch];
  let inside = new Set(patch);
  for (;;) {
    const next = layer.filter((cell) =>
      [cell - 1, cell + 1, cell - columns, cell + columns].every(
        (other) => labels[other] === label && inside.has(other),
      ),
    );
    if (next.length === 0) return layer[layer.length >> 1]!;
    layer = next;
    inside = new Set(next);
  }
}
