import { pathBy } from '../../kind.ts';
import { workSatinPadded } from './path.ts';
import { params } from './params.ts';

export const work = pathBy(params, (shape, values, context, sink) => workSatinPadded(shape, values, context, sink));
