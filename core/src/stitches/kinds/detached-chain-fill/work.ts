import { pathBy } from '../../kind.ts';
import { workDetachedChainFill } from './path.ts';
import { params } from './params.ts';

export const work = pathBy(params, (shape, values, context, sink) =>
  workDetachedChainFill(shape, values, context, sink),
);
