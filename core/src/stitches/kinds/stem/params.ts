import { stitchLength } from '../../shared/params.ts';
import type { ParamTable } from '../../params.ts';

export const params = {
  stitchMm: stitchLength(4, 1.2, 9),
  side: {
    type: 'choice',
    label: 'Thread held',
    options: [
      { value: 'right', label: 'right of the line' },
      { value: 'left', label: 'left of the line' },
    ],
    default: 'right',
    hint: 'Keep to one side all along: the side decides which way the cord twists.',
  },
} as const satisfies ParamTable;
