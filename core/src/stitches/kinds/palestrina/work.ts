import { pathBy } from '../../kind.ts';
import { workPalestrina } from './path.ts';
import { params } from './params.ts';

export const work = pathBy(params, (shape, values, context, sink) => workPalestrina(shape, values, context, sink));
