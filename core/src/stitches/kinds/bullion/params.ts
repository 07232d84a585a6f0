import { lengthParam } from '../../shared/params.ts';
import type { ParamTable } from '../../params.ts';

export const params = {
  lengthMm: lengthParam('Length', 6, [1.5, 25], 'From where the coil starts to where it ends.', 's'),
  wraps: {
    type: 'number',
    label: 'Wraps',
    symbol: 'n',
    unit: 'turns',
    min: 0,
    max: 60,
    step: 1,
    default: 0,
    hint: '0: as many as cover the length. Fewer look sparse; more make it arch up into a loop.',
  },
} as const satisfies ParamTable;
