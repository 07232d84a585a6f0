import { ARM_REACH } from '../../shared/texts.ts';
import { lengthParam, stitchLength } from '../../shared/params.ts';
import type { ParamTable } from '../../params.ts';

export const params = {
  stitchMm: stitchLength(4, 1.2, 12),
  armMm: lengthParam('Arm length', 2.4, [0.8, 12], ARM_REACH),
} as const satisfies ParamTable;
