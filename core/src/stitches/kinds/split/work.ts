import { pathBy } from '../../kind.ts';
import { params } from './params.ts';
import { workSplit } from '../../shared/splitLine.ts';

export const work = pathBy(params, (shape, values, context, sink) => workSplit(shape, values.stitchMm, context, sink));
