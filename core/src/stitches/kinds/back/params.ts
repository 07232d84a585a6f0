import { stitchLength } from '../../shared/params.ts';
import type { ParamTable } from '../../params.ts';

export const params = { stitchMm: stitchLength(2.5, 0.8, 8) } as const satisfies ParamTable;
