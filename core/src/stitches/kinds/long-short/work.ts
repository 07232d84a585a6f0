import { pathBy } from '../../kind.ts';
import { params } from './params.ts';
import { workLongShort } from './path.ts';

export const work = pathBy(params, (shape, values, context, sink) => workLongShort(shape, values, context, sink));
