import { lengthParam } from '../../shared/params.ts';
import type { ParamTable } from '../../params.ts';

export const params = {
  widthMm: lengthParam('Width', 4, [1, 20], 'From the end of one arm to the end of the other.'),
  depthMm: lengthParam('Depth', 3, [0.8, 15], 'From the ends of the arms to where they meet.'),
  tailMm: lengthParam('Tail', 1.5, [0.4, 12], 'The stitch that ties the arms; its length shows.'),
} as const satisfies ParamTable;
