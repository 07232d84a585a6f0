import { spacing, stitchLength } from '../../shared/params.ts';
import type { ParamTable } from '../../params.ts';

export const params = { stitchMm: stitchLength(5, 1.5, 12), spacingMm: spacing() } as const satisfies ParamTable;
