import { lengthParam } from '../../shared/params.ts';
import type { ParamTable } from '../../params.ts';

export const params = {
  knotMm: lengthParam('Distance between knots', 4, [1.2, 15], 'Four for an open line, two for a close one.', 's'),
} as const satisfies ParamTable;
