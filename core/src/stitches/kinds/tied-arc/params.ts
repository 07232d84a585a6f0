import type { ParamTable } from '../../params.ts';

export const params = {
  ties: {
    type: 'number',
    label: 'Ties',
    unit: 'stitches',
    min: 1,
    max: 5,
    step: 1,
    default: 1,
    hint: 'One goes where the arc curves most; more are spread evenly along it.',
    ofSecondJourney: true,
  },
} as const satisfies ParamTable;
