import { pathBy } from '../../kind.ts';
import { params } from './params.ts';
import { workWovenFill } from './path.ts';

export const work = pathBy(params, (shape, values, context, sink) => workWovenFill(shape, values, context, sink));
