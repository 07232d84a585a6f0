import { pathBy } from '../../kind.ts';
import { workFlyLeaf } from './path.ts';
import { params } from './params.ts';

export const work = pathBy(params, (shape, values, context, sink) => workFlyLeaf(shape, values, context, sink));
