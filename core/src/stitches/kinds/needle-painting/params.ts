import { lengthParam, spacing } from '../../shared/params.ts';
import type { ParamTable } from '../../params.ts';

export const params = {
  shortMm: lengthParam('Short stitch', 3, [1.5, 9], 'Where the picture changes quickly.'),
  longMm: lengthParam('Long stitch', 9, [2, 14], 'Where the picture is plain.', 's'),
  spacingMm: spacing(0.8),
} as const satisfies ParamTable;
