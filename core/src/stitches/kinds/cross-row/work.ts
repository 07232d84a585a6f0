import { pathBy } from '../../kind.ts';
import { params } from './params.ts';
import { workCrossRow } from './path.ts';

export const work = pathBy(params, (shape, values, _context, sink) => workCrossRow(shape, values, sink));
