import { lengthParam, scaledWithThread } from '../../shared/params.ts';
import type { ParamTable } from '../../params.ts';

export const params = {
  bandMm: lengthParam('Band', 5, [2, 15], 'How wide the plait is; the line runs along its middle.'),
  pitchMm: lengthParam(
    'Spacing',
    scaledWithThread(0.9, [0.6, 6]),
    [0.6, 6],
    'How far the plait moves on with each crossing.',
    's',
  ),
} as const satisfies ParamTable;
