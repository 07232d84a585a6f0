import { GAP_BETWEEN } from '../../shared/texts.ts';
import { lengthParam, spacing, stitchLength } from '../../shared/params.ts';
import type { ParamTable } from '../../params.ts';

export const params = {
  stitchMm: stitchLength(3, 1, 12),
  gapMm: lengthParam('Gap', 1.5, [0.3, 12], GAP_BETWEEN, 'gap'),
  spacingMm: spacing(3.5),
} as const satisfies ParamTable;
