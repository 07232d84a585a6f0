import type { PlacedShape } from '../drawing/index.ts';
import { cellRows, scanCells, scanFrame, simplifyRegion, type Region } from '../geometry/index.ts';
import { stage } from '../measure/index.ts';

const STEP_DEG = 15;
/** Outlines are looked at this coarsely, and in this many rows. */
const COARSE_MM = 0.15;
const ROWS = 24;

export interface Direction {
  readonly angleDeg: number;
  /** The longest stretch that lies along it, mm. */
  readonly spanMm: number;
}

/** The direction along which the longest stretch of a region is shortest: the way satin lies best. */
function shortestSpans(region: Region): Direction {
  const coarse = simplifyRegion(region, COARSE_MM);
  let best: Direction = { angleDeg: 0, spanMm: Infinity };
  for (let angleDeg = 0; angleDeg < 180; angleDeg += STEP_DEG) {
    const spanMm = longestSpan(coarse, angleDeg);
    if (spanMm < best.spanMm - 1e-6) best = { angleDeg, spanMm };
  }
  return best;
}

/** The direction that satin takes on an area when none is set. */
export function satinDirection({ shape }: Pick<PlacedShape, 'shape'>): Direction {
  return shortestSpans(shape.region);
}

export const SATIN_DIRECTION = stage<PlacedShape>()('satin direction', ['shape'], satinDirection);

/** The longest stretch of a region along a direction, mm. */
export function longestSpan(region: Region, angleDeg: number): number {
  const cells = scanCells(region, scanFrame((angleDeg * Math.PI) / 180));
  const height = cells.reduce((most, cell) => Math.max(most, cell.bottomV), -Infinity) - (cells[0]?.topV ?? 0);
  let longest = 0;
  for (const cell of cells) {
    const rows = cellRows(cell, height / ROWS, true);
    for (let i = 0; i < rows.length; i += 3) longest = Math.max(longest, rows[i + 1]! - rows[i]!);
  }
  return longest;
}
