import { lengthParam, scaledWithThread } from '../../shared/params.ts';
import type { ParamTable } from '../../params.ts';

export const params = {
  pitchMm: lengthParam(
    'Pitch',
    scaledWithThread(1.2, [0.3, 8]),
    [0.3, 8],
    'The distance of neighbouring stitches; close for an edge that is cut.',
  ),
  heightMm: lengthParam('Height', 4, [1, 15], 'How far the stitches stand in from the edge.'),
  stepMm: lengthParam('By turns taller by', 0, [0, 10], 'Nothing for an even edge; 3 mm for long and short by turns.'),
  stepCount: {
    type: 'number',
    label: 'So many of each height',
    unit: 'stitches',
    min: 1,
    max: 6,
    step: 1,
    default: 1,
    hint: 'Two short, two long by turns stand in steps, as scallops are edged.',
  },
  side: {
    type: 'choice',
    label: 'Arms',
    options: [
      { value: 'inside', label: 'to the inside; left of an open line' },
      { value: 'outside', label: 'to the outside; right of an open line' },
    ],
    default: 'inside',
    hint: 'The loops lie on the line. An edge that is cut has its arms inside.',
  },
} as const satisfies ParamTable;
