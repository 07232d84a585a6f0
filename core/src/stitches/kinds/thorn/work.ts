import { pathBy } from '../../kind.ts';
import { params } from './params.ts';
import { workThorn } from './path.ts';

export const work = pathBy(params, (shape, values, context, sink) => workThorn(shape, values, context, sink));
