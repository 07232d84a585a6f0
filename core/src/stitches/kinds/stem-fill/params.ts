import { spacing, stitchLength } from '../../shared/params.ts';
import type { ParamTable } from '../../params.ts';

export const params = { stitchMm: stitchLength(4, 1, 10), spacingMm: spacing() } as const satisfies ParamTable;
