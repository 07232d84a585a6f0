import { pathBy } from '../../kind.ts';
import { params } from './params.ts';
import { workSplitFill } from './path.ts';

export const work = pathBy(params, (shape, values, context, sink) => workSplitFill(shape, values, context, sink));
