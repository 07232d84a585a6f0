import { pathBy } from '../../kind.ts';
import { workDaisyRing } from './path.ts';
import { params } from './params.ts';

export const work = pathBy(params, (shape, values, context, sink) => workDaisyRing(shape, values, context, sink));
