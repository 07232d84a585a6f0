import { lengthParam } from '../../shared/params.ts';
import type { ParamTable } from '../../params.ts';

export const params = {
  innerMm: lengthParam('Inner ring', 1.5, [0, 20], 'Where the loops start, from the centre.'),
  outerMm: lengthParam('Outer ring', 5.5, [1.5, 30], 'Where they end.'),
  petals: {
    type: 'number',
    label: 'Petals',
    unit: 'arms',
    min: 4,
    max: 40,
    step: 1,
    default: 12,
    hint: 'Evenly from the top, quarter by quarter.',
  },
} as const satisfies ParamTable;
