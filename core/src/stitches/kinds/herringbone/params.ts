import { BAND_HEIGHT } from '../../shared/texts.ts';
import { lengthParam } from '../../shared/params.ts';
import type { ParamTable } from '../../params.ts';

export const params = {
  pitchMm: lengthParam('Step', 3, [0.8, 12], 'Along the band, from one crossing to the next.'),
  heightMm: lengthParam('Height', 5, [1.5, 25], BAND_HEIGHT),
} as const satisfies ParamTable;
