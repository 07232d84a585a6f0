import { pathBy } from '../../kind.ts';
import { params } from './params.ts';
import { workStar } from './path.ts';

export const work = pathBy(params, (shape, values, context, sink) => workStar(shape, values, context, sink));
