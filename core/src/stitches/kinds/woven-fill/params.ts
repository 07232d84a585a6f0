import { spacing } from '../../shared/params.ts';
import type { ParamTable } from '../../params.ts';

export const params = {
  spacingMm: spacing(1.1),
  together: {
    type: 'number',
    label: 'Threads at a time',
    unit: 'widths',
    min: 1,
    max: 4,
    step: 1,
    default: 1,
    hint: 'One by one, or two or more at a time as in a basket.',
    ofSecondJourney: true,
  },
} as const satisfies ParamTable;
