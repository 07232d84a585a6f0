import { pathBy } from '../../kind.ts';
import { params } from './params.ts';
import { workDetachedChain } from './path.ts';

export const work = pathBy(params, (shape, values, context, sink) => workDetachedChain(shape, values, context, sink));
