import { stitchLength } from '../../shared/params.ts';
import type { ParamTable } from '../../params.ts';

export const params = { stitchMm: stitchLength(3.5, 1.2, 8) } as const satisfies ParamTable;
