import { lengthParam, stitchLength } from '../../shared/params.ts';
import type { ParamTable } from '../../params.ts';

export const params = {
  stitchMm: stitchLength(2.5, 1, 12),
  heightMm: lengthParam('Height', 2.5, [1, 15], 'From one side of the row to the other.'),
} as const satisfies ParamTable;
