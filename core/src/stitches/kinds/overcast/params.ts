import { TO_THE_INSIDE } from '../../shared/texts.ts';
import { lengthParam, spacing } from '../../shared/params.ts';
import type { ParamTable } from '../../params.ts';

export const params = {
  pitchMm: { ...spacing(1), label: 'Spacing' },
  heightMm: lengthParam('Height', 3, [0.6, 25], 'From one side of the line to the other.'),
  side: {
    type: 'choice',
    label: 'Position',
    options: [
      { value: 'middle', label: 'over the line' },
      { value: 'inside', label: TO_THE_INSIDE },
    ],
    default: 'middle',
    hint: 'Over a line or cord, or inwards from an edge.',
  },
} as const satisfies ParamTable;
