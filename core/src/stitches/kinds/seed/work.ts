import { pathBy } from '../../kind.ts';
import { params } from './params.ts';
import { workSeed } from './path.ts';

export const work = pathBy(params, (shape, values, context, sink) => workSeed(shape, values, context, sink));
