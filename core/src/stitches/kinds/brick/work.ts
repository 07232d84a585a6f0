import { pathBy } from '../../kind.ts';
import { params } from './params.ts';
import { workBrick } from './path.ts';

export const work = pathBy(params, (shape, values, context, sink) => workBrick(shape, values, context, sink));
