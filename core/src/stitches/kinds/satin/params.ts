import { spacing } from '../../shared/params.ts';
import type { ParamTable } from '../../params.ts';

export const params = {
  spacingMm: spacing(),
  from: {
    type: 'choice',
    label: 'Start',
    options: [
      { value: 'middle', label: 'in the middle, then either way' },
      { value: 'edge', label: 'at one edge, across to the other' },
    ],
    default: 'middle',
    hint: 'From the middle the direction stays true; from the edge no thread runs back across the shape.',
  },
} as const satisfies ParamTable;
