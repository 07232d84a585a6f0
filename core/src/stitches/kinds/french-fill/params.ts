import { closenessParam, wrapsParam } from '../../shared/params.ts';
import type { ParamTable } from '../../params.ts';

export const params = {
  wraps: wrapsParam('For each knot; the last gaps get a knot of one wrap.'),
  closeness: closenessParam,
} as const satisfies ParamTable;
