import { pathBy } from '../../kind.ts';
import { params } from './params.ts';
import { workLatticeFill } from './path.ts';

export const work = pathBy(params, (shape, values, context, sink) => workLatticeFill(shape, values, context, sink));
