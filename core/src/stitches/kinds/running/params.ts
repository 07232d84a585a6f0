import { GAP_BETWEEN } from '../../shared/texts.ts';
import { stitchLength } from '../../shared/params.ts';
import type { ParamTable } from '../../params.ts';

export const params = {
  stitchMm: stitchLength(3, 1, 12),
  gapMm: {
    type: 'number',
    label: 'Gap',
    symbol: 'gap',
    unit: 'mm',
    min: 0.3,
    max: 12,
    step: 0.1,
    default: 2,
    hint: GAP_BETWEEN,
  },
} as const satisfies ParamTable;
