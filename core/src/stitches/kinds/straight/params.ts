import { lengthParam } from '../../shared/params.ts';
import type { ParamTable } from '../../params.ts';

export const params = {
  lengthMm: lengthParam('Length', 4, [0.8, 25], 'From hole to hole.', 's'),
} as const satisfies ParamTable;
