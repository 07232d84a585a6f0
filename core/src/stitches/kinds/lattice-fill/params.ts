import { lengthParam } from '../../shared/params.ts';
import type { ParamTable } from '../../params.ts';

export const params = {
  squareMm: lengthParam('Size of the squares', 4, [1.5, 20], 'From one laid thread to the next, both ways.'),
} as const satisfies ParamTable;
