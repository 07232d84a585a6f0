import { lengthParam, stitchLength } from '../../shared/params.ts';
import type { ParamTable } from '../../params.ts';

export const params = {
  stitchMm: stitchLength(3, 1.2, 12),
  armMm: lengthParam('Arm', 6, [1, 15], 'How far the arms reach out to either side.'),
  backMm: lengthParam('Arm reaches back', 2, [0, 12], 'How far behind its loop an arm ends.'),
} as const satisfies ParamTable;
