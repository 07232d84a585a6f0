import { lengthParam } from '../../shared/params.ts';
import type { ParamTable } from '../../params.ts';

export const params = {
  tieMm: {
    ...lengthParam('Distance between ties', 4, [1.5, 15], 'Closer where the line bends.'),
    ofSecondJourney: true,
  },
} as const satisfies ParamTable;
