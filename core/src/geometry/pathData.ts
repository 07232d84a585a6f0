import { placesOf } from './points.ts';
import type { Polyline } from './shapes.ts';

/** A polyline as SVG path data; with all its digits, or rounded to some decimals. */
export function pathData({ points, closed }: Polyline, decimals?: number): string {
  const number = (value: number): string => (decimals === undefined ? String(value) : value.toFixed(decimals));
  let path = '';
  for (const [x, y] of placesOf(points)) path += `${path === '' ? 'M' : 'L'}${number(x)} ${number(y)}`;
  return closed ? `${path}Z` : path;
}
