import { pathBy } from '../../kind.ts';
import { params } from './params.ts';
import { workStem } from '../../shared/stemLine.ts';

export const work = pathBy(params, (shape, values, context, sink) => workStem(shape, values, context, sink));
