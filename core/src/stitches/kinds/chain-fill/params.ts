import { spacing, stitchLength } from '../../shared/params.ts';
import type { ParamTable } from '../../params.ts';

export const params = { stitchMm: stitchLength(3, 1, 10), spacingMm: spacing(2.6) } as const satisfies ParamTable;
