import { roundTo } from '../../../measure/index.ts';
import { lengthParam, spacing } from '../../shared/params.ts';
import type { ParamTable } from '../../params.ts';

/** A long stitch is this many times as long as its thread lies wide: about 3.2 mm in one strand, 5 in two. */
const LONG_WIDTHS = 10;

export const params = {
  stitchMm: {
    ...lengthParam(
      'Long stitch',
      0,
      [2, 14],
      'Short ones are about two thirds as long, and shorter still in finer thread.',
      's',
    ),
    default: (laidMm) => Math.min(14, Math.max(2, roundTo(LONG_WIDTHS * laidMm, 1))),
  },
  spacingMm: spacing(),
} as const satisfies ParamTable;
