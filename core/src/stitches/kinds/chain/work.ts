import { pathBy } from '../../kind.ts';
import { params } from './params.ts';
import { workChain } from '../../shared/chainLine.ts';

export const work = pathBy(params, (shape, values, context, sink) => workChain(shape, values.stitchMm, context, sink));
