import { pathBy } from '../../kind.ts';
import { workOvercast } from './path.ts';
import { params } from './params.ts';

export const work = pathBy(params, (shape, values, context, sink) => workOvercast(shape, values, context, sink));
