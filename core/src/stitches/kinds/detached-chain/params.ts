import { LOOP_TIE } from '../../shared/texts.ts';
import { lengthParam } from '../../shared/params.ts';
import type { ParamTable } from '../../params.ts';

export const params = {
  lengthMm: lengthParam('Length', 4, [1.5, 15], 'From the foot of the loop to its end.'),
  anchorMm: lengthParam('Tie-down stitch', 0.8, [0.4, 6], LOOP_TIE),
} as const satisfies ParamTable;
