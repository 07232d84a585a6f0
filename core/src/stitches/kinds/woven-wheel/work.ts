import { pathBy } from '../../kind.ts';
import { workWovenWheel } from './path.ts';
import { params } from './params.ts';

export const work = pathBy(params, (shape, values, context, sink) => workWovenWheel(shape, values, context, sink));
