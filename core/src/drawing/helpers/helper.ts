import type { Part } from '../../piece/index.ts';
import type { PlacedShape } from '../placedShape.ts';

/** A size that a person can set for a helper. */
export interface HelperParam {
  readonly name: string;
  readonly unit: 'mm' | '°' | '';
  readonly min: number;
  readonly max: number;
  readonly step: number;
  readonly usual: number;
}

/** What a helper draws: a part on the cloth, in mm about the middle of the helper; y points down. */
export interface HelperPart {
  readonly name: string;
  readonly kind: Part['kind'];
  readonly path: string;
  /** A colour of its own: that of the palette which can't be told from it, else a new one. */
  readonly hex?: string;
  /** Parts with the same word are worked alike. */
  readonly alike?: string;
  readonly strokeMm?: number;
  /** The middle line of an area. */
  readonly vein?: string;
}

export interface Helper {
  readonly id: string;
  readonly name: string;
  /** What it is for, in a sentence. */
  readonly purpose: string;
  readonly params: Readonly<Record<string, HelperParam>>;
  /** @param there what lies on the cloth already, seen from the middle of the helper */
  draw(
    params: Readonly<Record<string, number>>,
    there: readonly PlacedShape[],
    at: readonly [number, number],
  ): HelperPart[];
}

/** A number for path data. */
export function n(value: number): string {
  return String(Math.round(value * 1000) / 1000 || 0);
}

/** A place at a distance and a bearing from the middle: 0 points up, clockwise as seen. */
export function polar(r: number, turns: number, x = 0, y = 0): [x: number, y: number] {
  return [x + r * Math.sin(2 * Math.PI * turns), y - r * Math.cos(2 * Math.PI * turns)];
}

/** A circle of four cubics: right to three ten-thousandths of its radius. */
export function circlePath(r: number, x = 0, y = 0): string {
  const k = 0.5522847498 * r;
  const p = (dx: number, dy: number): string => `${n(x + dx)} ${n(y + dy)}`;
  return (
    `M${p(0, -r)}C${p(k, -r)} ${p(r, -k)} ${p(r, 0)}C${p(r, k)} ${p(k, r)} ${p(0, r)}` +
    `C${p(-k, r)} ${p(-r, k)} ${p(-r, 0)}C${p(-r, -k)} ${p(-k, -r)} ${p(0, -r)}Z`
  );
}

export function dots(places: readonly (readonly [number, number])[]): string {
  return places.map(([x, y]) => `M${n(x)} ${n(y)}h0`).join('');
}

export function polyline(places: readonly (readonly [number, number])[], closed = false): string {
  return `M${places.map(([x, y]) => `${n(x)} ${n(y)}`).join('L')}${closed ? 'Z' : ''}`;
}
