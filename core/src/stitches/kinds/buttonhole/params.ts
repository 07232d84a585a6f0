import { lengthParam } from '../../shared/params.ts';
import type { ParamTable } from '../../params.ts';

export const params = {
  pitchMm: lengthParam('Pitch', 1.2, [0.3, 8], 'The distance of neighbouring stitches; close for an edge that is cut.'),
  heightMm: lengthParam('Height', 4, [1, 15], 'How far the stitches stand in from the edge.'),
  stepMm: lengthParam(
    'Every second taller by',
    0,
    [0, 10],
    'Nothing for an even edge; 3 mm for long and short by turns.',
  ),
} as const satisfies ParamTable;
