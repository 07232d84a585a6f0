import { closenessParam, wrapsParam } from '../../shared/params.ts';
import type { ParamTable } from '../../params.ts';

export const params = {
  wraps: wrapsParam('Of each knot; the last gaps take a knot of one wrap.'),
  closeness: closenessParam,
} as const satisfies ParamTable;
