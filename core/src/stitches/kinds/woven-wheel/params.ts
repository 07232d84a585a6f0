import { lengthParam } from '../../shared/params.ts';
import type { ParamTable } from '../../params.ts';

export const params = {
  radiusMm: lengthParam('Radius', 4, [1.5, 15], 'From the centre to the ends of the spokes.', 'r'),
  spokes: {
    type: 'number',
    label: 'Spokes',
    unit: 'arms',
    min: 5,
    max: 9,
    step: 2,
    default: 5,
    hint: 'An odd number, so that over and under change from round to round.',
  },
  rounds: {
    type: 'number',
    label: 'Rounds',
    unit: 'turns',
    min: 0,
    max: 40,
    step: 1,
    default: 0,
    hint: '0: until the spokes are covered. Fewer leave their ends in view.',
    ofSecondJourney: true,
  },
} as const satisfies ParamTable;
