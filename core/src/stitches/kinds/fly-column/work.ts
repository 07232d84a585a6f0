import { pathBy } from '../../kind.ts';
import { params } from './params.ts';
import { workFlyColumn } from './path.ts';

export const work = pathBy(params, (shape, values, context, sink) => workFlyColumn(shape, values, context, sink));
