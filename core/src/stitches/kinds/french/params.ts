import { wrapsParam } from '../../shared/params.ts';
import type { ParamTable } from '../../params.ts';

export const params = {
  wraps: wrapsParam('One for a small knot, two as a rule, three at most: use more strands for a bigger one.'),
} as const satisfies ParamTable;
