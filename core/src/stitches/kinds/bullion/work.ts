import { pathBy } from '../../kind.ts';
import { workBullion } from './path.ts';
import { params } from './params.ts';

export const work = pathBy(params, (shape, values, context, sink) => workBullion(shape, values, context, sink));
