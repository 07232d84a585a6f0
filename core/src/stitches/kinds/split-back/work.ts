import { pathBy } from '../../kind.ts';
import { workSplitBack } from './path.ts';
import { params } from './params.ts';

export const work = pathBy(params, (shape, values, context, sink) =>
  workSplitBack(shape, values.stitchMm, context, sink),
);
