import { lengthParam, stitchLength } from '../../shared/params.ts';
import type { ParamTable } from '../../params.ts';

export const params = {
  stitchMm: stitchLength(4, 2, 12),
  armMm: lengthParam('Arm length', 1.6, [0.6, 10], 'The small stitch across the line; long arms make thorns and legs.'),
} as const satisfies ParamTable;
