import { lengthParam } from '../../shared/params.ts';
import type { ParamTable } from '../../params.ts';

export const params = {
  lengthMm: lengthParam('Length', 1.8, [0.8, 5], 'The length of each of the two.', 's'),
  apartMm: {
    type: 'number',
    label: 'Spacing',
    unit: 'mm',
    min: 0.2,
    max: 4,
    step: 0.1,
    default: (laidMm) => laidMm * 1.1,
    hint: 'From the middle of one to the middle of the other.',
  },
} as const satisfies ParamTable;
