import { lengthParam } from '../../shared/params.ts';
import type { ParamTable } from '../../params.ts';

export const params = {
  stepMm: lengthParam('Step', 1.2, [0.5, 5], 'Along a row, from one loop to the next.'),
  rowMm: lengthParam('Row spacing', 1.6, [0.6, 6], 'From one row of loops to the next.'),
  pileMm: lengthParam('Pile length', 4, [1.5, 20], 'How long the loops are left before they are cut.'),
} as const satisfies ParamTable;
