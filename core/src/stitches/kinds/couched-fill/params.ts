import { lengthParam, spacing } from '../../shared/params.ts';
import type { ParamTable } from '../../params.ts';

export const params = {
  spacingMm: spacing(),
  tieMm: {
    ...lengthParam(
      'Distance between ties',
      5,
      [1.5, 20],
      'Along each laid thread; the ties of its neighbours lie halfway between.',
    ),
    ofSecondJourney: true,
  },
} as const satisfies ParamTable;
