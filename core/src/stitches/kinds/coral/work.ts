import { pathBy } from '../../kind.ts';
import { params } from './params.ts';
import { workCoral } from './path.ts';

export const work = pathBy(params, (shape, values, context, sink) => workCoral(shape, values.knotMm, context, sink));
