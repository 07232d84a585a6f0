import { closenessParam } from '../../shared/params.ts';
import type { ParamTable } from '../../params.ts';

export const params = { closeness: closenessParam } as const satisfies ParamTable;
