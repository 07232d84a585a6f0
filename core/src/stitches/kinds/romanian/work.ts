import { pathBy } from '../../kind.ts';
import { workRomanian } from './path.ts';
import { params } from './params.ts';

export const work = pathBy(params, (shape, values, context, sink) => workRomanian(shape, values, context, sink));
