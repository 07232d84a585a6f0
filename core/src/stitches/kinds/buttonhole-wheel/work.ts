import { pathBy } from '../../kind.ts';
import { workButtonholeWheel } from './path.ts';
import { params } from './params.ts';

export const work = pathBy(params, (shape, values, context, sink) => workButtonholeWheel(shape, values, context, sink));
