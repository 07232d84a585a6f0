import { ARM_REACH } from '../../shared/texts.ts';
import { lengthParam, scaledWithThread, stitchLength } from '../../shared/params.ts';
import type { ParamTable } from '../../params.ts';

export const params = {
  stitchMm: stitchLength(scaledWithThread(4, [1.5, 12]), 1.5, 12),
  armMm: lengthParam('Arm length', scaledWithThread(2.6, [1, 12]), [1, 12], ARM_REACH),
} as const satisfies ParamTable;
