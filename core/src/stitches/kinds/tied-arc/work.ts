import { pathBy } from '../../kind.ts';
import { params } from './params.ts';
import { workTiedArc } from './path.ts';

export const work = pathBy(params, (shape, { ties }, context, sink) => workTiedArc(shape, ties, context, sink));
