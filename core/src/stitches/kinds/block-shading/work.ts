import { pathBy } from '../../kind.ts';
import { workBlockShading } from './path.ts';
import { params } from './params.ts';

export const work = pathBy(params, (shape, values, context, sink) => workBlockShading(shape, values, context, sink));
