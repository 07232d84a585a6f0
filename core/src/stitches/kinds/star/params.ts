import { lengthParam } from '../../shared/params.ts';
import type { ParamTable } from '../../params.ts';

export const params = {
  armMm: lengthParam('Arm length', 2, [0.8, 12], 'From the centre to a point of the star.'),
  arms: {
    type: 'number',
    label: 'Arms',
    unit: 'arms',
    min: 3,
    max: 12,
    step: 1,
    default: 6,
    hint: 'How many points the star has.',
  },
} as const satisfies ParamTable;
