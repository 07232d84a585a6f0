import { lengthParam } from '../../shared/params.ts';
import type { ParamTable } from '../../params.ts';

export const params = {
  radiusMm: lengthParam('Radius', 3.5, [1.2, 15], 'From the centre to the rim.', 'r'),
  spokes: {
    type: 'number',
    label: 'Spokes',
    unit: 'arms',
    min: 6,
    max: 40,
    step: 1,
    default: 14,
    hint: 'Close together for a solid wheel.',
  },
  rim: {
    type: 'choice',
    label: 'Rim',
    options: [
      { value: 'whipped', label: 'whipped with a second round' },
      { value: 'plain', label: 'plain' },
    ],
    default: 'whipped',
    hint: 'Whipping makes the rim a raised cord.',
    ofSecondJourney: true,
  },
} as const satisfies ParamTable;
