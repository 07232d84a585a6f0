import { ARM_REACH } from '../../shared/texts.ts';
import { lengthParam, scaledWithThread, stitchLength } from '../../shared/params.ts';
import type { ParamTable } from '../../params.ts';

export const params = {
  stitchMm: stitchLength(scaledWithThread(3, [1.2, 12]), 1.2, 12),
  armMm: lengthParam('Arm length', scaledWithThread(6, [1, 15]), [1, 15], ARM_REACH),
  backMm: lengthParam('Arms reach back by', 2, [0, 12], 'How far behind its loop an arm ends.'),
} as const satisfies ParamTable;
