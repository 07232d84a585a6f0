import { BAND_HEIGHT } from '../../shared/texts.ts';
import { lengthParam, spacing } from '../../shared/params.ts';
import type { ParamTable } from '../../params.ts';

export const params = {
  pitchMm: {
    ...spacing(0.55),
    label: 'Step',
    hint: 'Along the band, from one slanting stitch to the next. Stitches of one slant are two steps apart, so that they just touch.',
  },
  heightMm: lengthParam('Height', 4, [1.5, 25], BAND_HEIGHT),
} as const satisfies ParamTable;
