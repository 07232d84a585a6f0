import { lengthParam, spacing, tipParam } from '../../shared/params.ts';
import type { ParamTable } from '../../params.ts';

export const params = {
  spacingMm: spacing(),
  tieMm: lengthParam(
    'Tie',
    3,
    [0.6, 8],
    'The small stitch down the vein that holds each V; never longer than one V lies below the last.',
  ),
  angleDeg: {
    type: 'number',
    label: 'Angle of the arms',
    unit: '°',
    min: 12,
    max: 75,
    step: 1,
    default: 16,
    hint: 'Between arm and vein; keep it steep, 12 to 20°, from tip to base.',
  },
  tip: tipParam,
} as const satisfies ParamTable;
