import { pathBy } from '../../kind.ts';
import { workCouchedFill } from './path.ts';
import { params } from './params.ts';

export const work = pathBy(params, (shape, values, context, sink) => workCouchedFill(shape, values, context, sink));
