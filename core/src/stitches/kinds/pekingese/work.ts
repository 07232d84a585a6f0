import { pathBy } from '../../kind.ts';
import { workPekingese } from './path.ts';
import { params } from './params.ts';

export const work = pathBy(params, (shape, values, context, sink) => workPekingese(shape, values, context, sink));
