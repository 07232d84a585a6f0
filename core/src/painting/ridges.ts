import { isInside, type Region } from '../geometry/index.ts';
import { blur } from './blur.ts';
import type { Ground } from './ground.ts';
import { LINEAR } from './pictureField.ts';

/** A light or a hair that is finer than what lies about it: it is worked on top, last. */
export interface Ridge {
  readonly kind: 'light' | 'hair';
  /** Its middle line, mm on the cloth, `x0, y0, x1, y1, …`. */
  readonly points: Float64Array;
  readonly lengthMm: number;
  /** How much lighter or darker it is than both its sides, CIELAB lightness. */
  readonly contrast: number;
  /** Its own colour. */
  readonly rgb: readonly [r: number, g: number, b: number];
}

/** Anything thicker than this many threads is worked as all else is. */
const THICKEST_WIDTHS = 3;
/** What tells: so much lighter, or darker, than both sides. */
const TELLS = { light: 20, hair: 24 } as const;
/** A ridge is followed as long as it is this share as strong as where it was found. */
const GOES_ON = 0.5;
const SHORTEST_MM = 1.2;
const LONGEST_MM = 60;
/** A ridge turns by no more than this from one step to the next. */
const MOST_TURN = Math.cos(0.5);
/** No two lie nearer than so many threads. */
const APART_WIDTHS = 2.5;
export const MOST_RIDGES = 60;

/**
 * Bright or dark ridges thinner than three threads: where the picture is lighter, or darker, than on both sides across its lie, followed both
 * ways from the strongest on.
 * @returns the most telling first
 */
export function findRidges(ground: Ground, region: Region, laidMm: number): Ridge[] {
  const { columns, rows, stepMm, x0, y0, rgb } = ground;
  const light = Float32Array.from({ length: columns * rows }, (_, i) => {
    const y = 0.2126 * LINEAR[rgb[3 * i]!]! + 0.7152 * LINEAR[rgb[3 * i + 1]!]! + 0.0722 * LINEAR[rgb[3 * i + 2]!]!;
    return 116 * Math.cbrt(Math.max(0.008856, y)) - 16;
  });
  blur(light, columns, rows, (0.5 * laidMm) / stepMm);
  const side = Math.max(2, Math.round(((THICKEST_WIDTHS / 2 + 0.35) * laidMm) / stepMm));
  const at = (column: number, row: number): number =>
    light[Math.min(rows - 1, Math.max(0, row)) * columns + Math.min(columns - 1, Math.max(0, column))]!;
  /** How far a place stands out from both its sides, and across which of eight directions most; above 0 it is light. */
  const standsOut = (column: number, row: number): { contrast: number; way: number } => {
    let [contrast, way] = [0, 0];
    const here = at(column, row);
    for (let k = 0; k < WAYS.length; k++) {
      const [dx, dy] = WAYS[k]!;
      const [one, other] = [
        here - at(Math.round(column + side * dx), Math.round(row + side * dy)),
        here - at(Math.round(column - side * dx), Math.round(row - side * dy)),
      ];
      if (one * other <= 0) continue;
      const least = Math.abs(one) < Math.abs(other) ? one : other;
      if (Math.abs(least) > Math.abs(contrast)) [contrast, way] = [least, k];
    }
    return { contrast, way };
  };
  const every = Math.max(1, Math.round((0.5 * laidMm) / stepMm));
  const seeds: { column: number; row: number; contrast: number; way: number }[] = [];
  for (let row = side; row < rows - side; row += every) {
    for (let column = side; column < columns - side; column += every) {
      const { contrast, way } = standsOut(column, row);
      if (Math.abs(contrast) < (contrast > 0 ? TELLS.light : TELLS.hair)) continue;
      if (isInside(region, x0 + column * stepMm, y0 + row * stepMm)) seeds.push({ column, row, contrast, way });
    }
  }
  seeds.sort((a, b) => Math.abs(b.contrast) - Math.abs(a.contrast));
  const taken = new Set<number>();
  const cell = Math.max(1, Math.round((APART_WIDTHS * laidMm) / stepMm));
  const cellOf = (column: number, row: number): number => Math.floor(row / cell) * 65536 + Math.floor(column / cell);
  const isTaken = (column: number, row: number): boolean => taken.has(cellOf(column, row));
  const found: Ridge[] = [];
  for (const seed of seeds) {
    if (found.length >= MOST_RIDGES) break;
    if (isTaken(seed.column, seed.row)) continue;
    const [ax, ay] = WAYS[seed.way]!;
    const walk = (dx: number, dy: number): [number, number][] => {
      const way: [number, number][] = [];
      let [column, row] = [seed.column, seed.row];
      for (let mm = 0; mm < LONGEST_MM / 2; mm += every * stepMm) {
        const next = [-1, 0, 1].flatMap((turn) => {
          const [nx, ny] = turned(dx, dy, turn * 0.35);
          const [c, r] = [Math.round(column + every * 1.5 * nx), Math.round(row + every * 1.5 * ny)];
          const out = standsOut(c, r);
          const isOn = out.contrast * seed.contrast > 0 && Math.abs(out.contrast) > GOES_ON * Math.abs(seed.contrast);
          const [px, py] = WAYS[out.way]!;
          // It must go on along itself: across the way that it stands out in.
          return isOn && Math.abs(px * ny - py * nx) > MOST_TURN
            ? [{ c, r, nx, ny, contrast: Math.abs(out.contrast) }]
            : [];
        });
        const [best] = next.sort((a, b) => b.contrast - a.contrast);
        if (!best || isTaken(best.c, best.r) || !isInside(region, x0 + best.c * stepMm, y0 + best.r * stepMm)) break;
        [column, row, dx, dy] = [best.c, best.r, best.nx, best.ny];
        way.push([column, row]);
      }
      return way;
    };
    const places = [...walk(-ay, ax).reverse(), [seed.column, seed.row] as [number, number], ...walk(ay, -ax)];
    const lengthMm = places.reduce(
      (sum, [c, r], i) => (i === 0 ? 0 : sum + Math.hypot(c - places[i - 1]![0], r - places[i - 1]![1]) * stepMm),
      0,
    );
    for (const [c, r] of places) {
      for (let dr = -1; dr <= 1; dr++) for (let dc = -1; dc <= 1; dc++) taken.add(cellOf(c + dc * cell, r + dr * cell));
    }
    if (lengthMm < SHORTEST_MM) continue;
    const middle = 3 * (seed.row * columns + seed.column);
    found.push({
      kind: seed.contrast > 0 ? 'light' : 'hair',
      points: Float64Array.from(places.flatMap(([c, r]) => [x0 + c * stepMm, y0 + r * stepMm])),
      lengthMm,
      contrast: Math.abs(seed.contrast),
      rgb: [rgb[middle]!, rgb[middle + 1]!, rgb[middle + 2]!],
    });
  }
  return found.sort((a, b) => b.contrast * b.lengthMm - a.contrast * a.lengthMm);
}

/** Eight directions over half a turn. */
const WAYS: readonly (readonly [number, number])[] = Array.from({ length: 8 }, (_, k) => [
  Math.cos((k * Math.PI) / 8),
  Math.sin((k * Math.PI) / 8),
]);

function turned(dx: number, dy: number, angle: number): [number, number] {
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
  return [dx * cos - dy * sin, dx * sin + dy * cos];
}
