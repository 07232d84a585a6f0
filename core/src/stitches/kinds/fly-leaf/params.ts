import { lengthParam, spacing, tipParam } from '../../shared/params.ts';
import type { ParamTable } from '../../params.ts';

export const params = {
  spacingMm: spacing(),
  tieMm: lengthParam(
    'Tie',
    3,
    [0.6, 8],
    'The small stitch down the vein that holds each V; 4 to 6 mm with two strands.',
  ),
  angleDeg: {
    type: 'number',
    label: 'Angle of the arms',
    unit: '°',
    min: 15,
    max: 75,
    step: 5,
    default: 35,
    hint: 'Between arm and vein; keep it steep from tip to base.',
  },
  tip: tipParam,
} as const satisfies ParamTable;
