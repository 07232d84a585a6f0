import { pathBy } from '../../kind.ts';
import { workCablePlait } from './path.ts';
import { params } from './params.ts';

export const work = pathBy(params, (shape, values, context, sink) => workCablePlait(shape, values, context, sink));
