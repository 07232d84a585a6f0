import { lengthParam, stitchLength } from '../../shared/params.ts';
import type { ParamTable } from '../../params.ts';

export const params = {
  stitchMm: {
    ...stitchLength(4, 1.5, 15),
    label: 'Thorn spacing',
    hint: 'Along the stem, from one pair of thorns to the next.',
    ofSecondJourney: true,
  },
  armMm: {
    ...lengthParam('Thorn length', 2.5, [1, 12], 'How far each thorn reaches out from the stem.'),
    ofSecondJourney: true,
  },
} as const satisfies ParamTable;
