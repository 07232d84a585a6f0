import { pathBy } from '../../kind.ts';
import { params } from './params.ts';
import { workSatin } from '../../shared/satinSpans.ts';

export const work = pathBy(params, (shape, values, context, sink) => workSatin(shape.region, values, context, sink));
