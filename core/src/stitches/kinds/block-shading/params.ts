import { lengthParam, spacing } from '../../shared/params.ts';
import type { ParamTable } from '../../params.ts';

export const params = {
  bandMm: lengthParam('Band depth', 5, [1.5, 12], 'How deep each band is, along the stitches.', 's'),
  spacingMm: spacing(),
} as const satisfies ParamTable;
