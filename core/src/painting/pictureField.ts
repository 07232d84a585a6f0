import {
  distanceToLines,
  gridField,
  guidedField,
  type DirectionField,
  type DoubledGrid,
  type Polyline,
  type Region,
} from '../geometry/index.ts';
import { Memory, stage } from '../measure/index.ts';
import { blur } from './blur.ts';
import type { Ground } from './ground.ts';
import { luminanceAt } from './light.ts';

/** The field is worked out on a grid of about this step, mm, and no more cells to a side than this. */
const STEP_MM = 0.3;
const MOST_TO_A_SIDE = 500;
/** What is finer than a thread has no lie, mm. */
const FINE_MM = 0.3;
/** The distances over which the lie is looked for at once, mm: from far, where nothing near is sure, to near. */
const SCALES_MM = [16, 8, 4, 2] as const;
/** An edge this share as strong as the mean of all is as good as none. */
const FAINT = 0.03;
/** A stroke that is drawn wins within about this distance, mm. */
const STROKE_MM = 6;

/** The lie of hair and petals in a picture. */
export interface PictureField extends DirectionField {
  /** How sure the picture is of its lie at a place, from 0 to 1. */
  coherenceAt(x: number, y: number): number;
}

/** The lie of a picture on a grid, and how sure it is of it, cell by cell. */
interface Lie extends DoubledGrid {
  readonly sure: Float32Array;
}

/**
 * The lie of what a picture shows: across its steepest change of lightness, by the structure tensor (Bigün and Granlund 1987; coherence
 * after Weickert 1998). Where a near look is not sure, what is seen from further away fills in. Strokes that were drawn win near them.
 * @param coarseness one cell in this many to a side is led by the strokes: enough for a first look
 */
export function pictureField(
  ground: Ground,
  region: Region,
  strokes: readonly Polyline[],
  coarseness = 1,
  memory = new Memory(),
): PictureField {
  const lie = memory.made(LIE_OF_PICTURE, [], { ground });
  const grid = strokes.length > 0 ? ledByStrokes(coarser(lie, coarseness), strokes, region) : lie;
  const [senseX, senseY] = senseOf(grid);
  const field = gridField(grid, (x, y) => nearestSense(strokes, x, y) ?? [senseX, senseY]);
  const { x0, y0, stepMm, columns, rows, sure } = lie;
  return {
    ...field,
    coherenceAt: (x, y) => {
      const column = Math.min(columns - 1, Math.max(0, Math.round((x - x0) / stepMm)));
      const row = Math.min(rows - 1, Math.max(0, Math.round((y - y0) / stepMm)));
      return sure[row * columns + column]!;
    },
  };
}

/** What a picture shows does not depend on strokes. */
export const LIE_OF_PICTURE = stage<{ readonly ground: Ground }>()('lie of a picture', ['ground'], lookForLie);

function lookForLie({ ground }: { readonly ground: Ground }): Lie {
  const { x0, y0, values, columns, rows, stepMm } = lightnessOf(ground);
  blur(values, columns, rows, FINE_MM / stepMm);
  const count = columns * rows;
  const [across, skew, energy] = [new Float32Array(count), new Float32Array(count), new Float32Array(count)];
  for (let row = 1; row < rows - 1; row++) {
    for (let column = 1; column < columns - 1; column++) {
      const at = row * columns + column;
      const [gx, gy] = scharr(values, at, columns);
      // The lie is a quarter turn from the change: its doubled angle is half a turn from that of the change. y runs down.
      across[at] = gy * gy - gx * gx;
      skew[at] = 2 * gx * gy;
      energy[at] = gx * gx + gy * gy;
    }
  }
  const mean = energy.reduce((sum, value) => sum + value, 0) / count;
  const cosines = new Float32Array(count);
  const sines = new Float32Array(count).fill(0);
  // Where nothing is sure, hair hangs down.
  cosines.fill(-1);
  const sure = new Float32Array(count);
  if (mean > 1e-9) {
    for (const scaleMm of SCALES_MM) {
      const [q1, q2, e] = [across.slice(), skew.slice(), energy.slice()];
      for (const grid of [q1, q2, e]) blur(grid, columns, rows, scaleMm / stepMm);
      for (let i = 0; i < count; i++) {
        const length = Math.hypot(q1[i]!, q2[i]!);
        if (length === 0) continue;
        const trust = (length / (e[i]! + FAINT * mean)) ** 1.5;
        cosines[i] = trust * (q1[i]! / length) + (1 - trust) * cosines[i]!;
        sines[i] = trust * (q2[i]! / length) + (1 - trust) * sines[i]!;
        sure[i] = trust;
      }
    }
  }
  return { x0, y0, stepMm, columns, rows, cosines, sines, sure };
}

/** One cell of every few to a side. */
function coarser(grid: DoubledGrid, every: number): DoubledGrid {
  if (every === 1) return grid;
  const [columns, rows] = [Math.ceil(grid.columns / every) + 1, Math.ceil(grid.rows / every) + 1];
  const taken = (values: Float32Array): Float32Array =>
    Float32Array.from({ length: columns * rows }, (_, i) => {
      const [column, row] = [i % columns, Math.floor(i / columns)];
      return values[Math.min(grid.rows - 1, row * every) * grid.columns + Math.min(grid.columns - 1, column * every)]!;
    });
  const { x0, y0, stepMm, cosines, sines } = grid;
  return { x0, y0, stepMm: stepMm * every, columns, rows, cosines: taken(cosines), sines: taken(sines) };
}

interface Light {
  readonly x0: number;
  readonly y0: number;
  readonly stepMm: number;
  readonly columns: number;
  readonly rows: number;
  readonly values: Float32Array;
}

/** The lightness of a ground, 0–100 about as the eye sees it, in coarser cells. */
function lightnessOf({ x0, y0, stepMm, columns, rows, rgb }: Ground): Light {
  const longest = Math.max(columns, rows) * stepMm;
  const every = Math.max(1, Math.round(Math.max(STEP_MM, longest / MOST_TO_A_SIDE) / stepMm));
  const [wide, high] = [Math.max(2, Math.floor(columns / every)), Math.max(2, Math.floor(rows / every))];
  const values = new Float32Array(wide * high);
  for (let row = 0; row < high; row++) {
    for (let column = 0; column < wide; column++) {
      let [sum, count] = [0, 0];
      for (let j = row * every; j < Math.min(rows, (row + 1) * every); j++) {
        for (let i = column * every; i < Math.min(columns, (column + 1) * every); i++) {
          const at = 3 * (j * columns + i);
          sum += luminanceAt(rgb, at);
          count++;
        }
      }
      values[row * wide + column] = 100 * Math.cbrt(sum / count);
    }
  }
  const middle = ((every - 1) / 2) * stepMm;
  return { x0: x0 + middle, y0: y0 + middle, stepMm: every * stepMm, columns: wide, rows: high, values };
}

/** The change of a grid at a cell, by the kernel that keeps angles best (Scharr 2000). */
function scharr(grid: Float32Array, at: number, columns: number): [gx: number, gy: number] {
  const of = (dx: number, dy: number): number => grid[at + dy * columns + dx]!;
  const gx = 3 * (of(1, -1) - of(-1, -1)) + 10 * (of(1, 0) - of(-1, 0)) + 3 * (of(1, 1) - of(-1, 1));
  const gy = 3 * (of(-1, 1) - of(-1, -1)) + 10 * (of(0, 1) - of(0, -1)) + 3 * (of(1, 1) - of(1, -1));
  return [gx, gy];
}

/** Near a stroke its direction takes the place of the picture’s. */
function ledByStrokes(grid: DoubledGrid, strokes: readonly Polyline[], region: Region): DoubledGrid {
  const { x0, y0, stepMm, columns, rows } = grid;
  const [cosines, sines] = [grid.cosines.slice(), grid.sines.slice()];
  const drawn = guidedField(strokes, region);
  for (let row = 0; row < rows; row++) {
    for (let column = 0; column < columns; column++) {
      const [x, y] = [x0 + column * stepMm, y0 + row * stepMm];
      const distance = distanceToLines(strokes, x, y);
      if (distance > 3 * STROKE_MM) continue;
      const at = row * columns + column;
      const share = Math.exp(-((distance / STROKE_MM) ** 2));
      const double = 2 * drawn.angleAt(x, y);
      cosines[at] = share * Math.cos(double) + (1 - share) * cosines[at]!;
      sines[at] = share * Math.sin(double) + (1 - share) * sines[at]!;
    }
  }
  return { ...grid, cosines, sines };
}

/** The way that most of a field lies, downwards. */
function senseOf({ cosines, sines }: DoubledGrid): [number, number] {
  const sum = (grid: Float32Array): number => grid.reduce((all, value) => all + value, 0);
  const angle = Math.atan2(sum(sines), sum(cosines)) / 2;
  const [dx, dy] = [Math.cos(angle), -Math.sin(angle)];
  return dy < 0 ? [-dx, -dy] : [dx, dy];
}

/** As a stroke was drawn, near it. */
function nearestSense(strokes: readonly Polyline[], x: number, y: number): readonly [number, number] | null {
  let best: readonly [number, number] | null = null;
  let least = 3 * STROKE_MM;
  for (const stroke of strokes) {
    const distance = distanceToLines([stroke], x, y);
    if (distance >= least) continue;
    const { points } = stroke;
    [best, least] = [[points.at(-2)! - points[0]!, points.at(-1)! - points[1]!], distance];
  }
  return best;
}
