import { pathBy } from '../../kind.ts';
import { params } from './params.ts';
import { workCouching } from './path.ts';

export const work = pathBy(params, (shape, values, context, sink) => workCouching(shape, values.tieMm, context, sink));
