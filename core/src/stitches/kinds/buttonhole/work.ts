import { pathBy } from '../../kind.ts';
import { params } from './params.ts';
import { workButtonhole } from './path.ts';

export const work = pathBy(params, (shape, values, _context, sink) => workButtonhole(shape, values, sink));
