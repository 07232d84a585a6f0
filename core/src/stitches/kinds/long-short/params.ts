import { lengthParam, spacing } from '../../shared/params.ts';
import type { ParamTable } from '../../params.ts';

export const params = {
  stitchMm: lengthParam('Long stitch', 7, [3, 14], 'Short ones are about two thirds of it.', 's'),
  spacingMm: spacing(),
} as const satisfies ParamTable;
