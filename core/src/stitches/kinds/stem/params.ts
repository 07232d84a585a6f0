import { stitchLength } from '../../shared/params.ts';
import type { ParamTable } from '../../params.ts';

export const params = {
  stitchMm: stitchLength(4, 1.2, 9),
  side: {
    type: 'choice',
    label: 'Thread lies',
    options: [
      { value: 'right', label: 'right of the line' },
      { value: 'left', label: 'left of the line' },
    ],
    default: 'right',
    hint: 'Keep to one side all along: the side turns the cord one way or the other.',
  },
} as const satisfies ParamTable;
