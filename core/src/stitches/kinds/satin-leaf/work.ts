import { pathBy } from '../../kind.ts';
import { workSatinLeaf } from './path.ts';
import { params } from './params.ts';

export const work = pathBy(params, (shape, values, context, sink) => workSatinLeaf(shape, values, context, sink));
