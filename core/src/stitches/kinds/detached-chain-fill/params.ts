import { LOOP_TIE } from '../../shared/texts.ts';
import { lengthParam } from '../../shared/params.ts';
import type { ParamTable } from '../../params.ts';

export const params = {
  lengthMm: lengthParam('Loop', 3, [1.2, 12], 'From the foot of a loop to its end.', 's'),
  anchorMm: lengthParam('Tie-down stitch', 0.7, [0.4, 4], LOOP_TIE),
  rowMm: {
    type: 'number',
    label: 'Row spacing',
    unit: 'mm',
    min: 0.4,
    max: 10,
    step: 0.1,
    default: (laidMm) => laidMm * 3.2,
    hint: 'About three times the width of the thread: loops side by side just touch.',
  },
} as const satisfies ParamTable;
