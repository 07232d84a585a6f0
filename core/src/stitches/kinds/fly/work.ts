import { pathBy } from '../../kind.ts';
import { params } from './params.ts';
import { workFly } from './path.ts';

export const work = pathBy(params, (shape, values, context, sink) => workFly(shape, values, context, sink));
