import { stitchLength } from '../../shared/params.ts';
import type { ParamTable } from '../../params.ts';

export const params = { stitchMm: stitchLength(3, 1, 8) } as const satisfies ParamTable;
