import { spacing, tipParam } from '../../shared/params.ts';
import type { ParamTable } from '../../params.ts';

export const params = {
  spacingMm: spacing(),
  slantDeg: {
    type: 'number',
    label: 'Slant to the vein',
    unit: '°',
    min: 15,
    max: 90,
    step: 5,
    default: 45,
    hint: 'Steep stitches make a slender leaf; a right angle makes it look flat.',
  },
  tip: tipParam,
} as const satisfies ParamTable;
