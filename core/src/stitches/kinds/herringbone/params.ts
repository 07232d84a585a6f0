import { lengthParam } from '../../shared/params.ts';
import type { ParamTable } from '../../params.ts';

export const params = {
  pitchMm: lengthParam('Step', 3, [0.8, 12], 'Along the band, from one crossing to the next.'),
  heightMm: lengthParam('Height', 5, [1.5, 25], 'From one side of the band to the other.'),
} as const satisfies ParamTable;
