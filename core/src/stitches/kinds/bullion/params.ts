import { lengthParam } from '../../shared/params.ts';
import type { ParamTable } from '../../params.ts';

export const params = {
  lengthMm: lengthParam('Span', 6, [1.5, 20], 'From where the coil begins to where it ends.', 's'),
  wraps: {
    type: 'number',
    label: 'Wraps',
    symbol: 'n',
    unit: 'turns',
    min: 0,
    max: 60,
    step: 1,
    default: 0,
    hint: 'Nought: as many as cover the span. Fewer lie sparse; more make it stand up in a loop.',
  },
} as const satisfies ParamTable;
