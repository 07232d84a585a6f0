import { lengthParam, stitchLength } from '../../shared/params.ts';
import type { ParamTable } from '../../params.ts';

export const params = {
  stitchMm: stitchLength(3, 1.5, 8),
  loopMm: {
    ...lengthParam('Loop', 0.8, [0.3, 3], 'How far the loops reach out beside the line.'),
    ofSecondJourney: true,
  },
} as const satisfies ParamTable;
