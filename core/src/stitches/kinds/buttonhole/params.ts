import { TO_THE_INSIDE } from '../../shared/texts.ts';
import { lengthParam, scaledWithThread } from '../../shared/params.ts';
import type { ParamTable } from '../../params.ts';

export const params = {
  pitchMm: lengthParam(
    'Spacing',
    scaledWithThread(1.2, [0.3, 8]),
    [0.3, 8],
    'From one stitch to the next; close together for an edge that is cut.',
  ),
  heightMm: lengthParam('Height', 4, [1, 15], 'How far the stitches reach in from the edge.'),
  stepMm: lengthParam(
    'Every other group longer by',
    0,
    [0, 10],
    '0 for an even edge; 3 mm for long and short in turn.',
  ),
  stepCount: {
    type: 'number',
    label: 'Stitches in each group',
    unit: 'stitches',
    min: 1,
    max: 6,
    step: 1,
    default: 1,
    hint: 'Two short and two long in turn make steps, as scallop edges are worked.',
  },
  side: {
    type: 'choice',
    label: 'Arms',
    options: [
      { value: 'inside', label: TO_THE_INSIDE },
      { value: 'outside', label: 'to the outside; right of an open line' },
    ],
    default: 'inside',
    hint: 'The loops lie on the line. For a cut edge the arms point inwards.',
  },
} as const satisfies ParamTable;
