import { spacing } from '../../shared/params.ts';
import type { ParamTable } from '../../params.ts';

export const params = { spacingMm: spacing() } as const satisfies ParamTable;
