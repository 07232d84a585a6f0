import { pathBy } from '../../kind.ts';
import { workFeather } from '../../shared/featherLine.ts';
import { params } from './params.ts';

export const work = pathBy(params, (shape, values, context, sink) => workFeather(shape, values, context, sink));
