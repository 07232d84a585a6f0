import { pathBy } from '../../kind.ts';
import { params } from './params.ts';
import { workBack } from '../../shared/backLine.ts';

export const work = pathBy(params, (shape, values, context, sink) => workBack(shape, values.stitchMm, context, sink));
