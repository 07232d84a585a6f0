import type { ParamTable } from '../../params.ts';

export const params = {
  wraps: {
    type: 'number',
    label: 'Wraps',
    symbol: 'n',
    unit: 'turns',
    min: 1,
    max: 3,
    step: 1,
    default: 2,
    hint: 'One for a small knot, two as a rule, three at the most: use more strands for a bigger one.',
  },
} as const satisfies ParamTable;
