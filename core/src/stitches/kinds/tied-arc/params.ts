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
    hint: 'One sits where the arc turns most; more lie evenly along it.',
  },
} as const satisfies ParamTable;
