import type { Polyline } from './shapes.ts';

/** A polyline as SVG path data; with all its digits, or rounded to some decimals. */
export function pathData({ points, closed }: Polyline, decimals?: number): string {
  const number = (value: number): string => (decimals === undefined ? String(value) : value.toFixed(decimals));
  let path = '';
  for (let i = 0; i < points.length; i += 2) {
    path += `${i === 0 ? 'M' : 'L'}${number(points[i]!)} ${number(points[i + 1]!)}`;
  }
  return closed ? `${path}Z` : path;
}
