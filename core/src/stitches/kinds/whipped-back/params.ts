import { stitchLength } from '../../shared/params.ts';
import type { ParamTable } from '../../params.ts';

export const params = { stitchMm: stitchLength(2.5, 1, 6) } as const satisfies ParamTable;
