import type { PlacedShape } from '../drawing/index.ts';
import { tightestRadiusMm } from '../geometry/index.ts';

/** The tightest bend of a part's lines, mm radius; Infinity where nothing bends. */
export function tightestBendMm({ shape }: Pick<PlacedShape, 'shape'>): number {
  return Math.min(...shape.lines.map(tightestRadiusMm));
}
