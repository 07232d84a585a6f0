import { remembered } from '../measure/index.ts';
import type { PlacedShape } from '../drawing/index.ts';
import { tightestRadiusMm } from '../geometry/index.ts';

/** The tightest bend of a part's lines, mm radius; Infinity where nothing bends. */
export const tightestBendMm = remembered(({ shape }: PlacedShape): number =>
  Math.min(...shape.lines.map(tightestRadiusMm)),
);
