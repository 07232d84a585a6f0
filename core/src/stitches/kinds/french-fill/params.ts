import { wrapsParam } from '../../shared/params.ts';
import type { ParamTable } from '../../params.ts';

export const params = {
  wraps: wrapsParam('Of each knot; the last gaps take a knot of one wrap.'),
  closeness: {
    type: 'number',
    label: 'Knots apart',
    unit: 'widths',
    min: 0.8,
    max: 3,
    step: 0.05,
    default: 0.95,
    hint: 'In widths of a knot: below one, they press on one another.',
  },
} as const satisfies ParamTable;
