import { pathBy } from '../../kind.ts';
import { params } from './params.ts';
import { workCutPile } from './path.ts';

export const work = pathBy(params, (shape, values, context, sink) => workCutPile(shape, values, context, sink));
