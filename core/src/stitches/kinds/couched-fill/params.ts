import { lengthParam, spacing } from '../../shared/params.ts';
import type { ParamTable } from '../../params.ts';

export const params = {
  spacingMm: spacing(),
  tieMm: lengthParam('Tie every', 5, [1.5, 20], 'Along each laid thread; neighbours are tied half way between.'),
} as const satisfies ParamTable;
