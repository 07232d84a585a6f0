import type { PlacedShape } from '@junctura/core/drawing';
import { pathData } from '@junctura/core/geometry';

const paths = new WeakMap<PlacedShape, string>();
/** Enough for what is seen on a screen. */
const DECIMALS = 2;
/** Radius of the mark that stands for a spot, mm. */
const SPOT_MM = 0.9;

/** The outline of a part on the cloth as SVG path data in mm; made once for each shape. */
export function partPath(placed: PlacedShape): string {
  const known = paths.get(placed);
  if (known !== undefined) return known;
  const { region, lines, spots } = placed.shape;
  let path = '';
  for (const ring of region) path += pathData({ points: ring, closed: true }, DECIMALS);
  for (const line of lines) path += pathData(line, DECIMALS);
  for (let i = 0; i < spots.length; i += 2) {
    path += `M${spots[i]! - SPOT_MM} ${spots[i + 1]!}a${SPOT_MM} ${SPOT_MM} 0 1 0 ${2 * SPOT_MM} 0a${SPOT_MM} ${SPOT_MM} 0 1 0 ${-2 * SPOT_MM} 0Z`;
  }
  paths.set(placed, path);
  return path;
}
