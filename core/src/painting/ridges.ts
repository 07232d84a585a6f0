import { isInside, polylineLength, type Region } from '../geometry/index.ts';
import { blur } from './blur.ts';
import type { Ground } from './ground.ts';
import { lightnessOfCells } from './light.ts';

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
/** The least difference in lightness from both sides that tells. */
const TELLS = { light: 20, hair: 24 } as const;
/** A ridge is followed as long as it is this share as strong as where it was found. */
const GOES_ON = 0.5;
const SHORTEST_MM = 1.2;
const LONGEST_MM = 60;
/** A ridge turns by no more than this from one step to the next. */
const MOST_TURN = Math.cos(0.5);
const TURNS = [-0.35, 0, 0.35] as const;
/** The least distance between two of them, in threads. */
const APART_WIDTHS = 2.5;
const MOST_RIDGES = 60;

/**
 * Bright or dark ridges thinner than three threads: where the picture is lighter, or darker, than on both sides across its lie, followed both
 * ways from the strongest on.
 * @returns the most telling first
 */
export function findRidges(ground: Ground, region: Region, laidMm: number): Ridge[] {
  const relief = new Relief(ground, region, laidMm);
  const found: Ridge[] = [];
  for (const seed of relief.seeds()) {
    if (found.length >= MOST_RIDGES) break;
    const ridge = relief.follow(seed);
    if (ridge) found.push(ridge);
  }
  return found.sort((a, b) => b.contrast * b.lengthMm - a.contrast * a.lengthMm);
}

type Place = readonly [column: number, row: number];

/** A place that stands out: by how much (above 0 it is light), and across which of the directions most. */
interface Seed {
  readonly place: Place;
  readonly contrast: number;
  readonly way: number;
}

/** The lightness of a picture as hills and furrows. */
class Relief {
  private readonly light: Float32Array;
  /** How far to either side is looked, and in what steps, in cells. */
  private readonly side: number;
  private readonly step: number;
  /** What is near a ridge that was found already: no two lie side by side. */
  private readonly taken = new Set<number>();
  private readonly block: number;

  constructor(
    private readonly ground: Ground,
    private readonly region: Region,
    laidMm: number,
  ) {
    const { columns, rows, stepMm, rgb } = ground;
    this.light = lightnessOfCells(rgb);
    blur(this.light, columns, rows, (0.5 * laidMm) / stepMm);
    this.side = Math.max(2, Math.round(((THICKEST_WIDTHS / 2 + 0.35) * laidMm) / stepMm));
    this.step = Math.max(1, Math.round((0.5 * laidMm) / stepMm));
    this.block = Math.max(1, Math.round((APART_WIDTHS * laidMm) / stepMm));
  }

  /** Places that stand out enough to tell, the strongest first. */
  seeds(): Seed[] {
    const { side, step } = this;
    const seeds: Seed[] = [];
    for (let row = side; row < this.ground.rows - side; row += step) {
      for (let column = side; column < this.ground.columns - side; column += step) {
        const out = this.standsOut(column, row);
        const least = out.contrast > 0 ? TELLS.light : TELLS.hair;
        if (Math.abs(out.contrast) >= least && this.isInRegion(column, row))
          seeds.push({ place: [column, row], ...out });
      }
    }
    return seeds.sort((a, b) => Math.abs(b.contrast) - Math.abs(a.contrast));
  }

  /** The ridge through a place, both ways; null where it is another's, or too short. */
  follow(seed: Seed): Ridge | null {
    const [column, row] = seed.place;
    if (this.isTaken(column, row)) return null;
    const [ax, ay] = WAYS[seed.way]!;
    const places = [...this.walk(seed, -ay, ax).reverse(), seed.place, ...this.walk(seed, ay, -ax)];
    places.forEach((place) => this.take(place));
    const { columns, stepMm, x0, y0, rgb } = this.ground;
    const points = Float64Array.from(places.flatMap(([c, r]) => [x0 + c * stepMm, y0 + r * stepMm]));
    const lengthMm = polylineLength({ points, closed: false });
    if (lengthMm < SHORTEST_MM) return null;
    const at = 3 * (row * columns + column);
    return {
      kind: seed.contrast > 0 ? 'light' : 'hair',
      points,
      lengthMm,
      contrast: Math.abs(seed.contrast),
      rgb: [rgb[at]!, rgb[at + 1]!, rgb[at + 2]!],
    };
  }

  private walk({ place, contrast }: Seed, dx: number, dy: number): Place[] {
    const way: Place[] = [];
    let [column, row] = place;
    const most = LONGEST_MM / 2 / (this.step * this.ground.stepMm);
    while (way.length < most) {
      const best = this.nextAlong(column, row, dx, dy, contrast);
      if (!best || this.isTaken(...best.place) || !this.isInRegion(...best.place)) break;
      [[column, row], dx, dy] = [best.place, best.dx, best.dy];
      way.push(best.place);
    }
    return way;
  }

  /** Where a ridge goes on: straight, or a little to either side; null where it ends. */
  private nextAlong(
    column: number,
    row: number,
    wayX: number,
    wayY: number,
    contrast: number,
  ): { place: Place; dx: number; dy: number } | null {
    let best: { place: Place; dx: number; dy: number } | null = null;
    let most = GOES_ON * Math.abs(contrast);
    for (const turn of TURNS) {
      const [dx, dy] = turned(wayX, wayY, turn);
      const place = [Math.round(column + this.step * 1.5 * dx), Math.round(row + this.step * 1.5 * dy)] as const;
      const out = this.standsOut(...place);
      const [acrossX, acrossY] = WAYS[out.way]!;
      // It must go on along itself: across the way in which it stands out.
      const isAlong = Math.abs(acrossX * dy - acrossY * dx) > MOST_TURN;
      if (!isAlong || out.contrast * contrast <= 0 || Math.abs(out.contrast) <= most) continue;
      most = Math.abs(out.contrast);
      best = { place, dx, dy };
    }
    return best;
  }

  private standsOut(column: number, row: number): Omit<Seed, 'place'> {
    let [contrast, way] = [0, 0];
    const here = this.at(column, row);
    WAYS.forEach(([dx, dy], k) => {
      const [sx, sy] = [this.side * dx, this.side * dy];
      const one = here - this.at(Math.round(column + sx), Math.round(row + sy));
      const other = here - this.at(Math.round(column - sx), Math.round(row - sy));
      if (one * other <= 0) return;
      const least = Math.abs(one) < Math.abs(other) ? one : other;
      if (Math.abs(least) > Math.abs(contrast)) [contrast, way] = [least, k];
    });
    return { contrast, way };
  }

  private at(column: number, row: number): number {
    const { columns, rows } = this.ground;
    return this.light[Math.min(rows - 1, Math.max(0, row)) * columns + Math.min(columns - 1, Math.max(0, column))]!;
  }

  private isInRegion(column: number, row: number): boolean {
    const { x0, y0, stepMm } = this.ground;
    return isInside(this.region, x0 + column * stepMm, y0 + row * stepMm);
  }

  private blockOf(column: number, row: number): number {
    return Math.floor(row / this.block) * 65536 + Math.floor(column / this.block);
  }

  private isTaken(column: number, row: number): boolean {
    return this.taken.has(this.blockOf(column, row));
  }

  private take([column, row]: Place): void {
    for (let dr = -1; dr <= 1; dr++) {
      for (let dc = -1; dc <= 1; dc++) this.taken.add(this.blockOf(column + dc * this.block, row + dr * this.block));
    }
  }
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
